import { len, type Finding } from '../../measure/index.js';
import type { Workshop } from '../../workshop/index.js';
import { sweepOf } from '../../mounting/index.js';
import { leastHollowWall, type Hollow, type Outline, type Part } from '../../pattern/index.js';

/** Thin walls of hollows, pieces that sweep too far when they lie across, and that what is worked out of the solid does not know of them. */
export function hollowFindings(
  { id, hollows = [], rings = [] }: Part,
  outline: Outline,
  { allowances: { leastWall }, lathe }: Workshop,
): Finding[] {
  if (hollows.length + rings.length === 0) return [];
  const thin = hollows.flatMap((hollow): Finding[] => {
    const { wall, x } = leastHollowWall(hollow, outline);
    if (wall >= leastWall || wall <= 0) return [];
    return [
      {
        id: `pattern.hollow.${id}.${hollow.id}`,
        severity: 'warn',
        stage: 'pattern',
        partId: id,
        x,
        what: `Only ${len(wall)} of wood stays beside the ${hollow.name}.`,
        why: `Below ${len(leastWall)} it chatters while it is hollowed and breaks in use.`,
        remedy: 'Make the hollow narrower or shallower, or the outside stouter there.',
      },
    ];
  });
  const wide = hollows.flatMap((hollow) => sweepFindings(id, hollow, outline, lathe));
  return [
    ...thin,
    ...wide,
    {
      id: `pattern.hollow.${id}`,
      severity: 'note',
      stage: 'pattern',
      partId: id,
      what: 'Mass, balance and the least stiff place do not know its hollows and loose rings.',
      why: 'They are worked out from the outside and the holes along it.',
      remedy: 'Nothing to do; weigh a finished piece where it matters.',
    },
  ];
}

/** Held across the piece sweeps over the bed, and over the banjo where the rest stands beside it. */
function sweepFindings(
  partId: string,
  { id, name, axis }: Hollow,
  outline: Outline,
  { swing, overRest = Infinity }: Workshop['lathe'],
): Finding[] {
  const sweep = axis ? sweepOf(axis, outline) : 0;
  const found = { id: `mount.hollow.${partId}.${id}`, stage: 'mount' as const, partId };
  const said = `Held across for the ${name} it sweeps ${len(sweep)}`;
  if (sweep > swing)
    return [
      {
        ...found,
        severity: 'stop',
        what: `${said}; the lathe swings ${len(swing)}.`,
        why: 'Its far end would strike the bed.',
        remedy: 'Hollow it by hand, on a larger lathe, or move the hollow towards the middle of the piece.',
      },
    ];
  if (sweep <= overRest) return [];
  return [
    {
      ...found,
      id: `${found.id}.rest`,
      severity: 'warn',
      what: `${said}; over the rest's banjo only ${len(overRest)} pass.`,
      why: 'Its ends would strike the banjo when that stands under them.',
      remedy:
        'Bring the banjo in front of the face, clear of the sweep, and turn the work by hand right round.',
    },
  ];
}
