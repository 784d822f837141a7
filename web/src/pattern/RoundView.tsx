import {
  assembled,
  latheMesh,
  outlineOf,
  widestOf,
  type Material,
  type Mesh,
  type PatternBody,
  type PlacedPart,
} from '@compas/core';
import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo, useState } from 'react';
import { BufferAttribute, BufferGeometry, PerspectiveCamera, Vector3 } from 'three';
import { OrbitControls } from 'three/examples/jsm/controls/OrbitControls.js';
import { toCreasedNormals } from 'three/examples/jsm/utils/BufferGeometryUtils.js';
import { TONES } from '../strip/tones.js';
import { ringsOf } from '../strip/wood/rings.js';
import { lookOf, PLAIN, type WoodLook } from '../strip/wood/woodLook.js';
import { useMaterials } from '../ui/useMaterials.js';
import { withGrain } from './grain.js';

/** Chords this near to the true surface look round, mm. */
const CHORD = 0.08;
/** Edges sharper than this stay edges, radians. */
const CREASE = 0.35;

/**
 * The item put together, lit, in the colour of its material; upright or lying as it is asked for. It
 * stands on its reference end, a top on its tip.
 */
export default function RoundView({ body, upright }: { body: PatternBody; upright: boolean }) {
  const placed = useMemo(() => assembled(body), [body]);
  const materials = useMaterials();
  const [from, to] = extentOf(placed);
  const size = Math.max(30, to - from, ...placed.map((p) => widest(p)));
  return (
    <div className="round-view" role="img" aria-label="The item in the round. Drag to turn it.">
      <Canvas frameloop="demand" dpr={[1, 1.5]} camera={{ fov: 28, near: 1, far: 20_000 }}>
        <color attach="background" args={['#e8eae5']} />
        <hemisphereLight args={['#ffffff', '#8d8676', 1.5]} />
        <directionalLight position={[size, size * 1.6, size * 1.4]} intensity={2.2} />
        <directionalLight position={[-size, size * 0.3, -size]} intensity={0.5} />
        <group rotation={[0, 0, upright ? (body.kind === 'top' ? -Math.PI / 2 : Math.PI / 2) : 0]}>
          <group position={[-(from + to) / 2, 0, 0]}>
            {placed.map((p) => (
              <PartShape key={p.part.id} placed={p} look={lookIn(materials, p)} />
            ))}
          </group>
        </group>
        <Turning size={size} upright={upright} />
      </Canvas>
    </div>
  );
}

const ends = ({ x, turned, length }: PlacedPart): [number, number] =>
  turned ? [x - length, x] : [x, x + length];
const extentOf = (placed: readonly PlacedPart[]): [number, number] => [
  Math.min(...placed.map((p) => ends(p)[0])),
  Math.max(...placed.map((p) => ends(p)[1])),
];
const widest = ({ part }: PlacedPart): number => widestOf(outlineOf(part.turnings[0])).diameter;

function lookIn(materials: readonly Material[], { part }: PlacedPart): WoodLook {
  const material = materials.find((m) => m.id === part.materialId);
  return material ? lookOf(material, part.id) : PLAIN;
}

function PartShape({ placed, look }: { placed: PlacedPart; look: WoodLook }) {
  const { part, x, turned } = placed;
  const geometry = useGeometry(
    useMemo(() => latheMesh(outlineOf(part.turnings[0]), part.holes, CHORD), [part]),
  );
  return (
    <group position={[x, 0, 0]} rotation={turned ? [0, Math.PI, 0] : [0, 0, 0]}>
      <mesh geometry={geometry}>
        <Wood look={look} stoutest={widest(placed) / 2} />
      </mesh>
      {part.turnings.slice(1).map((turning) => (
        <SecondTurning key={turning.id} part={part} turningId={turning.id} />
      ))}
      {(part.crossHoles ?? []).map((hole) => {
        const outline = outlineOf(part.turnings[0]);
        const at = hole.from === 'reference' ? hole.at.mm : outline.length - hole.at.mm;
        const reach = widestOf(outline).diameter + 0.2;
        const angle = (hole.angle * Math.PI) / 180;
        const length = hole.through ? reach : reach / 2 + 0.1;
        const off = hole.through ? 0 : reach / 4;
        return (
          <group key={hole.id} position={[at, 0, 0]} rotation={[angle, 0, 0]}>
            <mesh rotation={[Math.PI / 2, 0, 0]} position={[0, 0, off]}>
              <cylinderGeometry args={[hole.diameter.mm / 2, hole.diameter.mm / 2, length, 24]} />
              <meshStandardMaterial color="#2b211a" roughness={1} />
            </mesh>
          </group>
        );
      })}
    </group>
  );
}

/** Wood by its shade and its rings; what never grew is plain. */
function Wood({ look: { tone, seed }, stoutest }: { look: WoodLook; stoutest: number }) {
  const rings = useMemo(() => (seed === null ? null : ringsOf(seed, stoutest)), [seed, stoutest]);
  return (
    <meshStandardMaterial
      // a program is put together once: other rings want another
      key={rings ? `${seed} ${stoutest}` : 'plain'}
      color={TONES[tone].outside}
      roughness={0.55}
      metalness={0}
      {...(rings ? { onBeforeCompile: (program) => withGrain(program, rings) } : {})}
    />
  );
}

/** What a further axis would leave, seen through. */
function SecondTurning({ part, turningId }: { part: PlacedPart['part']; turningId: string }) {
  const turning = part.turnings.find((t) => t.id === turningId);
  const geometry = useGeometry(
    useMemo(() => (turning ? latheMesh(outlineOf(turning), [], CHORD) : null), [turning]),
  );
  if (!turning?.axis) return null;
  const { shift, direction, tilt, along } = turning.axis;
  return (
    <group rotation={[(direction * Math.PI) / 180, 0, 0]}>
      <mesh
        geometry={geometry}
        position={[along?.mm ?? 0, shift.mm, 0]}
        rotation={[0, 0, (tilt * Math.PI) / 180]}
      >
        <meshStandardMaterial color="#b98a2f" transparent opacity={0.35} />
      </mesh>
    </group>
  );
}

function useGeometry(mesh: Mesh | null): BufferGeometry {
  const geometry = useMemo(() => {
    const plain = new BufferGeometry();
    if (!mesh) return plain;
    plain.setAttribute('position', new BufferAttribute(mesh.positions, 3));
    plain.setIndex(new BufferAttribute(mesh.indices, 1));
    return toCreasedNormals(plain, CREASE);
  }, [mesh]);
  useEffect(() => () => geometry.dispose(), [geometry]);
  return geometry;
}

/** Turned by dragging; looked at from a little above. */
function Turning({ size, upright }: { size: number; upright: boolean }) {
  const { camera, gl, invalidate, size: canvas } = useThree();
  const [controls] = useState(() => new OrbitControls(camera, gl.domElement));
  useEffect(() => {
    controls.enablePan = false;
    controls.addEventListener('change', () => invalidate());
    return () => controls.dispose();
  }, [controls, invalidate]);
  useEffect(() => {
    const aspect = canvas.width / Math.max(1, canvas.height);
    const fov = camera instanceof PerspectiveCamera ? (camera.fov * Math.PI) / 180 : 0.5;
    const far = (size * 0.62) / Math.tan(fov / 2) / Math.min(1, upright ? 1 : aspect);
    camera.position.copy(new Vector3(0.25, 0.35, 1).normalize().multiplyScalar(far));
    controls.target.set(0, 0, 0);
    controls.update();
    invalidate();
  }, [camera, controls, invalidate, size, upright, canvas.width, canvas.height]);
  return null;
}
