import { missingSlots, templateOf } from '../../layout/index.js';
import type { PartPlan } from '../../plan/index.js';
import { copyingOf, type Workshop } from '../../workshop/index.js';
import { FileProblem } from '../fileProblem.js';
import type { Page, PrintPaper } from '../page.js';
import { ballSheet } from './ballSheet.js';
import { benchCard } from './benchCard.js';
import { radiiOf, radiusGauges, slotGauges } from './gaugeSheet.js';
import { storyStick } from './stick.js';
import { templateSheet } from './templateSheet.js';

/** Sheets at 1:1 that a plan gives. */
export const PRINTS = ['stick', 'wrap', 'card', 'gauges', 'radii', 'template', 'ball', 'bench'] as const;
export type Print = (typeof PRINTS)[number];

export const PRINT_WORDS: Record<Print, string> = {
  stick: 'story stick',
  wrap: 'strip to wrap round',
  card: 'half profile card',
  gauges: 'slot gauges',
  radii: 'radius gauges',
  template: 'copying template',
  ball: 'ball marks',
  bench: 'bench card',
};

export interface PrintWish {
  title: string;
  part: PartPlan;
  workshop: Workshop;
  paper: PrintPaper;
  /** the file goes to a laser or saw, which takes its kerf away */
  forCutter: boolean;
  /** of pattern and plan */
  version: string;
}

/**
 * A sheet of a plan at 1:1.
 * @throws FileProblem with a sentence when the piece has nothing of the kind
 */
export function printOf(print: Print, wish: PrintWish): Page[] {
  const { title, part, workshop, paper, version } = wish;
  const { outline, layout } = part;
  const copying = copyingOf(workshop);
  const kerf = wish.forCutter ? copying.templateKerf : 0;
  switch (print) {
    case 'stick':
    case 'wrap':
    case 'card':
      return storyStick(print, { title, outline, layout, paper });
    case 'bench':
      return benchCard({ title, part, paper, units: workshop.units });
    case 'gauges': {
      const slots = missingSlots(layout.sizing);
      if (slots.length === 0) throw new FileProblem('Every size of this piece has its fixed gauge already.');
      return slotGauges(slots, { title, paper, kerf });
    }
    case 'radii': {
      const radii = radiiOf(outline);
      if (radii.length === 0)
        throw new FileProblem('Nothing in this piece is round or hollow along its length.');
      return radiusGauges(radii, { title, paper, kerf });
    }
    case 'template':
      return templateSheet({
        title,
        version,
        template: templateOf(outline, copying),
        copying,
        paper,
        forCutter: wish.forCutter,
      });
    case 'ball': {
      const diameter = ballOf(part);
      if (diameter === null) throw new FileProblem('There is no ball in this piece.');
      return ballSheet({ title, diameter, paper });
    }
  }
}

/** The largest ball of a part; null when it has none. mm */
export function ballOf({ outline }: Pick<PartPlan, 'outline'>): number | null {
  const balls = outline.spans.flatMap((s) => (s.element.kind === 'sphere' ? [s.element.diameter.mm] : []));
  return balls.length === 0 ? null : Math.max(...balls);
}
