import { len, type Finding } from '../measure/index.js';
import type { Part } from '../pattern/index.js';
import type { PartDraft } from './partPlan.js';

/** Wood thinner than this beside a cross hole breaks out when it is drilled; typical, unchecked. mm */
const THIN = 2;

/** What the cross holes leave standing: where they meet other holes, and where wood is thin. */
export function wallFindings(part: Part, { crossWall, bores = [], holes }: PartDraft): Finding[] {
  if (!crossWall || crossWall.wall >= THIN) return [];
  const name = (id: string | undefined) =>
    [...bores, ...holes].find((hole) => hole.id === id)?.name ?? 'outside';
  const { wall, x, holeId, otherId } = crossWall;
  const base = { id: `drill.cross.${part.id}`, stage: 'drill', partId: part.id, x } as const;
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
