import type { Rings } from '../strip/wood/rings.js';

/** A surface program as it is before it is compiled: what is to be put in where it names a part of its own. */
export interface Program {
  vertexShader: string;
  fragmentShader: string;
  uniforms: Record<string, { value: unknown }>;
}

/** As many rings are off their places by numbers of their own, again and again. */
const OFFS = 13;

const WHERE = 'varying vec3 inWood;\n';
const RINGS = `${WHERE}
uniform vec2 pith;
uniform float pitch;
uniform float lean;
uniform vec3 wave;
uniform float off[${OFFS}];
// how much of the light a place gives back: less where a ring comes to the surface
float grain(vec3 p) {
  float d = length(p.yz - pith) - lean * p.x - wave.x * sin(6.2831853 * p.x / wave.y + wave.z);
  float k = d / pitch;
  float near = 1.0;
  for (int i = 0; i < 2; i++) {
    float n = floor(k) + float(i);
    near = min(near, abs(k - n - off[int(mod(n, ${OFFS}.0))]));
  }
  float seen = fwidth(k);
  float line = 1.0 - smoothstep(0.0, max(0.09, 1.5 * seen), near);
  return 1.0 - 0.24 * line * clamp(0.3 / seen, 0.0, 1.0);
}
`;

/** Puts text behind the part of a program that is named so; a program without it is another than this was written for. */
function behind(program: string, part: string, text: string): string {
  const named = `#include <${part}>`;
  if (!program.includes(named)) throw new Error(`The surface program has no ${part}.`);
  return program.replace(named, `${named}\n${text}`);
}

/**
 * A surface with the grain that its growth rings leave on it, wherever it is cut: lines along the flanks, ovals on
 * crowns, rounds on the ends. The piece lies along x, y is up, z to the front. mm
 */
export function withGrain(program: Program, { pith, turned, pitch, lean, wave, off }: Rings): void {
  program.vertexShader = behind(program.vertexShader, 'common', WHERE);
  program.vertexShader = behind(program.vertexShader, 'begin_vertex', 'inWood = position;');
  program.fragmentShader = behind(program.fragmentShader, 'common', RINGS);
  program.fragmentShader = behind(
    program.fragmentShader,
    'color_fragment',
    'diffuseColor.rgb *= grain(inWood);',
  );
  Object.assign(program.uniforms, {
    pith: { value: [pith * Math.sin(turned), -pith * Math.cos(turned)] },
    pitch: { value: pitch },
    lean: { value: lean },
    wave: { value: [wave.height, wave.length, wave.phase] },
    off: { value: Array.from({ length: OFFS }, (_, i) => off[i % off.length] ?? 0) },
  });
}
