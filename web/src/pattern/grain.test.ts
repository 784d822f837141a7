import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import fc from 'fast-check';
import { ringLines, ringsOf } from '../strip/wood/rings.js';
import { withGrain, type Program } from './grain.js';

// the programs as the package carries them: it cannot be loaded where tests run
const SOURCE = readFileSync(
  createRequire(__filename).resolve('three/src/renderers/shaders/ShaderLib/meshphysical.glsl.js'),
  'utf8',
);
const programOf = (name: string): string =>
  new RegExp(`export const ${name} = /\\* glsl \\*/\`([^\`]*)\``).exec(SOURCE)?.[1] ?? '';
const fresh = (): Program => ({
  vertexShader: programOf('vertex'),
  fragmentShader: programOf('fragment'),
  uniforms: {},
});

describe('grain in the round', () => {
  it('is put into the surface program of three once, where colour is made', () => {
    const program = fresh();
    withGrain(program, ringsOf('acorn', 20));
    expect(program.vertexShader.split('inWood = position;')).toHaveLength(2);
    const [before, after] = program.fragmentShader.split('diffuseColor.rgb *= grain(inWood);');
    expect(before).toContain('#include <color_fragment>');
    expect(after).toContain('#include <lights_physical_fragment>');
  });

  it('says so when the program is another than it was written for', () => {
    const other = { ...fresh(), fragmentShader: 'void main() {}' };
    expect(() => withGrain(other, ringsOf('acorn', 20))).toThrow('The surface program has no common.');
  });

  it('is the grain that is drawn on the strip: its rings lie about the same pith', () =>
    fc.assert(
      fc.property(fc.string(), fc.double({ min: 8, max: 40, noNaN: true }), (seed, r) => {
        const rings = ringsOf(seed, r);
        const program = fresh();
        withGrain(program, rings);
        const of = <T>(name: string) => program.uniforms[name]?.value as T;
        const [[py, pz], [height, length, phase]] = [
          of<[number, number]>('pith'),
          of<[number, number, number]>('wave'),
        ];
        const off = of<number[]>('off');
        const profile = Array.from({ length: 30 }, (_, i) => ({ x: i * 3, r: r - i / 20 }));
        for (const line of ringLines(profile, rings))
          for (const [x, y] of line.slice(1, -1)) {
            const radius = r - x / 60;
            const z = Math.sqrt(Math.max(0, radius * radius - y * y));
            const d =
              Math.hypot(y - py, z - pz) -
              of<number>('lean') * x -
              height * Math.sin((2 * Math.PI * x) / length + phase);
            const k = d / of<number>('pitch');
            // one of the rings beside it, each moved by its own number
            const near = [-1, 0, 1, 2].map((i) => {
              const n = Math.floor(k) + i;
              return Math.abs(k - n - (off[((n % off.length) + off.length) % off.length] ?? 0));
            });
            expect(Math.min(...near)).toBeLessThan(1e-6);
          }
      }),
      { numRuns: 60 },
    ));
});
