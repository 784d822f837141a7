import { dim, type DrillMoment } from '../measure/index.js';
import type { MountKind } from '../mounting/index.js';
import {
  checkPattern,
  outlineOf,
  radiusAt,
  STARTING_FORMS,
  type Part,
  type PatternBody,
} from '../pattern/index.js';
import { workshopFor } from '../../test/exampleRoute.js';
import { exampleInputs } from './exampleShop.js';
import { plan } from './index.js';

/** Where a hole of 5 across leaves wood on both sides of it and at the ends; nobody is asked but the drawing. mm */
const LEAVES = 2.5;
/** How far apart the places are that are bored, mm; no form repeats itself so. */
const STEP = 13;

const FORMS = STARTING_FORMS.flatMap((form) => {
  const body = { ...form.body({}, 'maple'), hardware: [] };
  return body.parts.slice(0, 1).map((part) => ({ name: form.name, body, part }));
});

function places(part: Part): number[] {
  const outline = outlineOf(part.turnings[0]);
  const room = (x: number) => [-2.5, 0, 2.5].every((d) => radiusAt(outline, x + d) >= 2.5 + LEAVES);
  const bored = (x: number) =>
    [...part.holes, ...(part.hollows ?? [])].length > 0 || (part.crossHoles ?? []).length > 0 || x < 0;
  if (bored(0)) return [];
  return Array.from({ length: Math.floor(outline.length / STEP) }, (_, i) => 6 + STEP * i).filter(
    (x) => x < outline.length - 6 && room(x),
  );
}

const MOMENTS: DrillMoment[] = ['square blank', 'after shaping'];

/** Kinds of which something is still given up that could be bored when it is shaped. */
const NOT_YET: ReadonlySet<string> = new Set(['top']);

/** What holds it at its ends lets it go to the drill press and takes it back; a ring that is bored through is no ring. */
const HELD: MountKind = 'between centres';
const isFree = ({ rings = [] }: Part): boolean => rings.length === 0;

describe('a hole across is bored wherever the wood has room for it', () => {
  it.each(FORMS.filter(({ part }) => isFree(part)))('$name', ({ body, part }) => {
    const { stock, order, schools } = exampleInputs(1);
    for (const at of places(part))
      for (const moment of MOMENTS.filter((m) => m === 'square blank' || !NOT_YET.has(body.kind))) {
        const hole = { id: 'x', name: 'cord hole', from: 'reference', angle: 20, through: true } as const;
        const crossHoles = [{ ...hole, at: dim(at), diameter: dim(5) }];
        const holed: PatternBody = { ...body, parts: [{ ...part, crossHoles }] };
        if (checkPattern(holed).length > 0) continue;
        const workshop = workshopFor(holed);
        const lathe = { ...workshop.lathe, betweenCentres: 1000 };
        const wanted = { ...order, mount: HELD, drilling: [{ holeId: 'x', moment }] };
        const made = plan(holed, { ...workshop, lathe }, stock, wanted, schools);
        const stops = made.findings.filter((f) => f.severity === 'stop').map((f) => f.what);
        expect([at, moment, stops]).toEqual([at, moment, []]);
      }
  });
});
