import type { Material } from '../material/index.js';
import { len } from '../measure/index.js';
import type { JoinSides } from '../pattern/index.js';
import type { Glue } from '../workshop/index.js';
import { USUAL_CURE } from './join.js';

/** How two parts of an item are put together by hand. */
export interface PartsMeet {
  /** one enters the other, one is slid onto the other, or a cord holds both */
  how: 'enters' | 'slides on' | 'corded';
  title: string;
  words: string[];
  glued: boolean;
  /** the glue of the workshop; null where it has none that suits, or none is used */
  glue: Glue | null;
  /** until it may be used, minutes; null when it holds at once */
  cureMinutes: number | null;
  minutes: number;
}

/** A hole wider than its shaft by more stays loose, mm. */
const LOOSE = 0.3;
const MINUTES = { dry: 0.5, glue: 2, press: 1.5, screw: 1, slide: 0.5, cord: 2 };

/** The way in which a join is made: dry first, then for good. */
export function partsMeet(
  sides: JoinSides,
  materials: readonly Material[],
  glues: readonly Glue[],
): PartsMeet {
  const { join, inner, outer, mouth, thickness } = sides;
  const how = HOW[join.kind];
  const isTight = mouth.diameter.mm - thickness <= LOOSE;
  const glued = join.kind === 'glued stem' || join.kind === 'pin in hole' || (how === 'slides on' && isTight);
  const wants = materials.every((m) => m.family === 'wood' || m.family === 'laminated wood')
    ? 'wood glue'
    : 'epoxy';
  const glue = glued ? (glues.find((g) => g.kind === wants) ?? glues[0] ?? null) : null;
  const deep = sides.peg?.length.mm ?? join.depth.mm;
  const names = { inner: inner.name.toLowerCase(), outer: outer.name.toLowerCase(), hole: sides.hole.name };
  const oily =
    materials.some((m) => m.oily) && glued
      ? ['Wipe both with solvent first: its oil keeps glue from holding.']
      : [];
  return {
    how,
    glued,
    glue,
    cureMinutes: glued ? (glue?.cureMinutes ?? USUAL_CURE[wants]) : null,
    ...said(how, join.kind, glued, { ...names, deep, at: join.at?.mm ?? 0 }, oily),
  };
}

const HOW: Record<JoinSides['join']['kind'], PartsMeet['how']> = {
  'pin in hole': 'enters',
  'glued stem': 'enters',
  screwed: 'enters',
  pressed: 'enters',
  'ring on shaft': 'slides on',
  'cord through': 'corded',
};

interface Names {
  inner: string;
  outer: string;
  hole: string;
  deep: number;
  at: number;
}

function said(
  how: PartsMeet['how'],
  kind: JoinSides['join']['kind'],
  glued: boolean,
  { inner, outer, hole, deep, at }: Names,
  oily: readonly string[],
): Pick<PartsMeet, 'title' | 'words' | 'minutes'> {
  if (how === 'corded')
    return {
      title: `Join ${outer} and ${inner} with the cord`,
      words: [`The cord through the ${hole}; seal its end, knot it, draw the knot in.`],
      minutes: MINUTES.cord,
    };
  if (how === 'slides on')
    return {
      title: glued ? `Glue the ${outer} onto the ${inner}` : `Slide the ${outer} onto the ${inner}`,
      words: [
        `Dry first: it passes over by hand until its middle is ${len(at)} from the reference end of the ${inner}.`,
        ...oily,
        ...(glued
          ? ['Back off; glue just before its place, all round; on again with a turn. Wipe what comes out.']
          : []),
      ],
      minutes: MINUTES.dry + (glued ? MINUTES.glue : MINUTES.slide),
    };
  const dry = `Dry first: the ${inner} goes ${len(deep)} into the ${hole} by hand and does not rock.`;
  if (glued)
    return {
      title: `Glue the ${inner} into the ${outer}`,
      words: [
        dry,
        ...oily,
        'A little glue in the hole, none on the end; a quarter turn as it goes home. Wipe what comes out.',
      ],
      minutes: MINUTES.dry + MINUTES.glue,
    };
  if (kind === 'screwed')
    return {
      title: `Screw the ${inner} into the ${outer}`,
      words: [`Wax on the thread; by hand, ${len(deep)} deep, until it seats.`],
      minutes: MINUTES.screw,
    };
  return {
    title: `Press the ${inner} into the ${outer}`,
    words: [`Start it straight; press it home between padded jaws, ${len(deep)} deep.`],
    minutes: MINUTES.press,
  };
}
