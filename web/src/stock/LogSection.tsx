import type { BilletWish, Bolt, Log, LogWay } from '@compas/core';

interface LogSectionProps {
  log: Log;
  bolt: Bolt | undefined;
  wish: BilletWish;
  way: LogWay;
}

const SIZE = 400;
const BILLET = { fill: '#17695c', fillOpacity: 0.28, stroke: '#17695c', strokeWidth: 2 };

/** The thin end of the last length: bark, sapwood, pith, splits and billets, to scale. */
export function LogSection({ log, bolt, wish, way }: LogSectionProps) {
  if (!bolt) return null;
  const radius = bolt.diameter / 2;
  const scale = (SIZE / 2 - 8) / radius;
  const middle = SIZE / 2;
  const share = bolt.diameter / log.buttDiameter.mm;
  const at = (p: { x: number; y: number }) => ({ x: middle + p.x * scale, y: middle - p.y * scale });
  const pith = { x: log.pith.x * share, y: log.pith.y * share };
  const p = at(pith);
  const rays = Array.from({ length: way.sectors }, (_, i) =>
    at(rayEnd(pith, way.angle + (i * 360) / way.sectors, radius)),
  );
  return (
    <svg
      viewBox={`0 0 ${SIZE} ${SIZE}`}
      role="img"
      aria-label={`End of the log split into ${way.sectors}, with ${way.billets.flat().length} billets`}
    >
      <circle cx={middle} cy={middle} r={radius * scale} fill="#ecd6b4" stroke="#5c4632" strokeWidth={4} />
      {log.sapwood.mm > 0 && (
        <circle
          cx={middle}
          cy={middle}
          r={(radius - log.sapwood.mm) * scale}
          fill="#dcb98a"
          stroke="#b08d5c"
          strokeDasharray="4 4"
        />
      )}
      {rays.map((ray, i) => (
        <line
          key={i}
          x1={p.x}
          y1={p.y}
          x2={ray.x}
          y2={ray.y}
          stroke="#3c3226"
          strokeWidth={i === 0 || i * 2 === way.sectors ? 3 : 1.4}
        />
      ))}
      {way.billets.flatMap((sector, s) =>
        sector.map((billet, i) => {
          const c = at(billet);
          const half = (wish.diameter / 2) * scale;
          return billet.turned === undefined ? (
            <circle key={`${s}.${i}`} cx={c.x} cy={c.y} r={half} {...BILLET} />
          ) : (
            <rect
              key={`${s}.${i}`}
              x={c.x - half}
              y={c.y - half}
              width={2 * half}
              height={2 * half}
              transform={`rotate(${-billet.turned} ${c.x} ${c.y})`}
              {...BILLET}
            />
          );
        }),
      )}
      <circle
        cx={p.x}
        cy={p.y}
        r={Math.max(2, wish.pithClearance * scale)}
        fill="none"
        stroke="#a3211b"
        strokeDasharray="4 3"
      />
      <circle cx={p.x} cy={p.y} r={3} fill="#a3211b" />
    </svg>
  );
}

/** Where a ray from the pith meets the bark. */
function rayEnd(pith: { x: number; y: number }, degrees: number, radius: number): { x: number; y: number } {
  const a = (degrees * Math.PI) / 180;
  const u = { x: Math.cos(a), y: Math.sin(a) };
  const along = pith.x * u.x + pith.y * u.y;
  const t = -along + Math.sqrt(Math.max(0, along ** 2 + radius ** 2 - pith.x ** 2 - pith.y ** 2));
  return { x: pith.x + u.x * t, y: pith.y + u.y * t };
}
