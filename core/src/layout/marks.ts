import { len, type Figure } from '../measure/index.js';
import type { Material } from '../material/index.js';
import type { MatingFace } from '../hardware/index.js';
import type { Bore, Outline } from '../pattern/index.js';
import type { Gauge } from '../workshop/index.js';
import { sandingLeft } from './allowance.js';
import { placesAlong, type PlaceAlong } from './along.js';
import { gaugeFor, type GaugeChoice } from './gauges.js';
import { canBeLeftOut, notchesOf, type Mark } from './notches.js';
import { sizedPlaces, type SizedPlace } from './sizedPlaces.js';
import { toldApart } from './toldApart.js';

/** A diameter that is sized at the lathe before shaping, and measured afterwards. */
export interface SizingCut {
  /** station id: readings cite it */
  id: string;
  x: number;
  label: string;
  finished: number;
  /** what to part down to: finished + sanding allowance (none on a mating face) */
  cutTo: number;
  tolerance: number;
  mating: boolean;
  gauge: GaugeChoice;
  transfer?: string;
  /** from the datum, mm */
  from?: number;
}

export interface Layout {
  marks: Mark[];
  sizing: SizingCut[];
  /** what is measured along the axis; plans made before positions counted have none */
  along?: PlaceAlong[];
  figures: Figure[];
  /** the mark that all are measured from */
  datum?: { id: string; label: string; x: number };
}

/** A face that meets hardware, with the x where it is. */
export interface HardwareFace {
  face: MatingFace;
  x: number;
}

/** A stretch that lies in another part, and what it is tried with. */
export interface Seat {
  id: string;
  x: number;
  label: string;
  finished: number;
  tolerance: number;
  transfer: string;
}

/** What a layout depends on beside the outline. */
export interface LayoutSite {
  faces: readonly HardwareFace[];
  /** where other parts of the item sit; none when not said */
  seats?: readonly Seat[];
  bores: readonly Bore[];
  material: Material;
  gauges: readonly Gauge[];
  /** mean grain of the first grit, µm; null when nothing is sanded */
  firstGrain: number | null;
  /** mark that all are measured from; the reference end when not said */
  datum?: string;
  /** whether a place gets its notch; asked of none that something is measured from. All do when not said */
  isMarked?: (mark: Mark) => boolean;
}

/** Default of a seen diameter, ± mm. */
const SEEN_TOLERANCE = 0.5;

/**
 * Story stick and sizing cuts of a profile: one mark at each transition, groove and cross hole, measured from
 * one datum, those left out that are not wanted; one sizing cut for each diameter that differs from its neighbours.
 */
export function layoutOf(outline: Outline, site: LayoutSite): Layout {
  const { faces, material, gauges } = site;
  const found = notchesOf(outline, site.bores);
  const at = found.find((m) => m.id === site.datum) ?? found[0];
  const datum = { id: at?.id ?? 'start', label: at?.label ?? 'reference end', x: at?.x ?? 0 };
  const isMarked = (mark: Mark) => mark === at || !canBeLeftOut(mark) || (site.isMarked?.(mark) ?? true);
  const marks = found.filter(isMarked).map((mark) => ({ ...mark, from: mark.x - datum.x }));
  const sanding = sandingLeft(material, site.firstGrain);
  const places = [...sizedPlaces(outline).map(onPeg(outline)), ...(site.seats ?? [])].sort(
    (a, b) => a.x - b.x,
  );
  const cuts = places.map((place): SizingCut => {
    const { id, x, label, finished, tolerance } = place;
    const meets = faces.find((m) => Math.abs(m.x - x) < 1e-6)?.face ?? ('transfer' in place ? place : null);
    const cutTo = finished + (meets ? 0 : sanding);
    const held = meets ? meets.tolerance : (tolerance ?? SEEN_TOLERANCE);
    return {
      id,
      x,
      from: x - datum.x,
      label: meets ? meets.label : label,
      finished,
      cutTo,
      tolerance: held,
      mating: meets !== null,
      gauge: gaugeFor({ cutTo, tolerance: held, mating: meets !== null }, gauges),
      ...(meets ? { transfer: meets.transfer } : {}),
    };
  });
  const sizing = toldApart(cuts);
  return {
    marks,
    sizing,
    along: placesAlong(outline, found),
    datum,
    figures: sizing.map((cut) => sizingFigure(cut, material, sanding)),
  };
}

/** How closely a peg is held, ± mm: glue fills what is left, and a press fit is no more than this. Typical. */
const PEG_TOLERANCE = 0.05;

/** A place on a peg is cut to what goes into its hole, and tried. */
const onPeg =
  (outline: Outline) =>
  (place: SizedPlace): SizedPlace | Seat => {
    const peg = outline.spans.find(
      ({ element, x0, x1, startDiameter }) =>
        element.kind === 'tenon' &&
        place.x >= x0 - 1e-6 &&
        place.x <= x1 + 1e-6 &&
        Math.abs(startDiameter - place.finished) < 1e-6,
    );
    if (peg?.element.kind !== 'tenon') return place;
    return {
      ...place,
      tolerance: peg.element.tolerance ?? PEG_TOLERANCE,
      transfer: `Try it in a block drilled ${len(peg.element.hole.mm)}.`,
    };
  };

function sizingFigure(cut: SizingCut, material: Material, sanding: number): Figure {
  return {
    id: `size.${cut.id}`,
    label: `Part down at ${cut.label}`,
    value: cut.cutTo,
    unit: 'mm',
    working: {
      rule: cut.mating
        ? 'The mating diameter itself: no sanding here.'
        : 'Finished diameter + what sanding takes off.',
      source: 'sanding allowance of the material in proportion to the first grit, typical, unchecked',
      inputs: [
        { label: 'finished diameter', value: cut.finished, unit: 'mm' },
        {
          label: `sanding of ${material.name.toLowerCase()}`,
          value: cut.mating ? 0 : sanding,
          unit: 'mm',
        },
        { label: 'tolerance ±', value: cut.tolerance, unit: 'mm' },
      ],
    },
  };
}
