import { len, type Finding } from '../../measure/index.js';
import { crossWalls, type CrossWall, type Part } from '../../pattern/index.js';
import type { PartDraft } from '../part/partPlan.js';

/** Wood thinner than this beside a cross hole breaks out when it is drilled; typical, unchecked. mm */
const THIN = 2;

/** What the cross holes leave standing: where they meet other holes, and where wood is thin. */
export function wallFindings(part: Part, { outline, bores = [], holes }: PartDraft): Finding[] {
  const name = (id: string | undefined) =>
    [...bores, ...holes].find((hole) => hole.id === id)?.name ?? 'outside';
  return crossWalls(outline, holes, part.crossHoles ?? [])
    .filter(({ wall }) => wall < THIN)
    .flatMap((found, i) => {
      const { holeId, otherId = 'outside' } = found;
      const id = `drill.cross.${part.id}${i === 0 ? '' : `.${holeId}.${otherId}`}`;
      return wallFinding(id, part.id, found, name);
    });
}

function wallFinding(
  id: string,
  partId: string,
  { wall, x, holeId, otherId }: CrossWall,
  name: (id: string | undefined) => string,
): Finding[] {
  const base = { id, stage: 'drill', partId, x } as const;
  if (otherId !== undefined && wall < 0)
    return [
      {
        ...base,
        severity: 'note',
        what: `The ${name(holeId)} and the ${name(otherId)} meet inside.`,
        why: 'Where a bit enters another hole it wanders and tears the far rim.',
        remedy: 'If it is meant, drill the larger one second. Otherwise move one of them.',
      },
    ];
  return [
    {
      ...base,
      severity: 'warn',
      what:
        wall < 0
          ? `The ${name(holeId)} breaks out: it reaches ${len(-wall)} beyond the wood.`
          : `Only ${len(wall)} of wood stays at the ${name(holeId)}${otherId === undefined ? '' : `, towards the ${name(otherId)}`}.`,
      why: `Less than ${len(THIN)} breaks out when it is drilled or in use.`,
      remedy: 'Move the hole inwards, take a smaller bit, or leave the wood thicker there.',
    },
  ];
}
