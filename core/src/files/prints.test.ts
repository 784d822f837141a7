import { dim } from '../measure/index.js';
import { heightAt, missingSlots, offsetAbove, templateOf } from '../layout/index.js';
import { plan, type PartPlan } from '../plan/index.js';
import { exampleInputs } from '../plan/exampleShop.js';
import { radiusAt, type Element } from '../pattern/index.js';
import { copyingOf } from '../workshop/index.js';
import {
  pageDxf,
  pageSvg,
  PAPERS,
  printedLength,
  printOf,
  PRINTS,
  radiiOf,
  threeUnits,
  type Ink,
  type Page,
  type Print,
} from './index.js';
import { MARGIN } from './page.js';
import { slotGauges } from './prints/gaugeSheet.js';
import { storyStick } from './prints/stick.js';
import { type PrintWish } from './prints/printOf.js';

const inputs = exampleInputs(12);
const partOf = (elements?: Element[]): PartPlan => {
  const { pattern, workshop, stock, order, schools } = structuredClone(inputs);
  if (elements) pattern.parts[0].turnings[0].elements = elements;
  return plan(pattern, workshop, stock, order, schools).parts[0];
};
const wish = (rest: Partial<PrintWish> = {}): PrintWish => ({
  title: 'Stopper',
  part: partOf(),
  workshop: inputs.workshop,
  paper: 'A4',
  forCutter: false,
  version: '2.1',
  ...rest,
});
const lines = ({ ink }: Page) => ink.filter((i) => i.kind === 'line');
const cuts = ({ ink }: Page) => ink.filter((i) => i.kind === 'polyline' && i.cut === true);
const pointsOf = (ink: Ink | undefined): [number, number][] => (ink?.kind === 'polyline' ? ink.points : []);
const reach = (page: Page) => {
  const all = page.ink.flatMap((i): [number, number][] =>
    i.kind === 'polyline'
      ? i.points
      : i.kind === 'line'
        ? [
            [i.x0, i.y0],
            [i.x1, i.y1],
          ]
        : [[i.x, i.y]],
  );
  return { x: Math.max(...all.map((p) => p[0])), y: Math.max(...all.map((p) => p[1])) };
};
const ball = partOf([{ kind: 'sphere', id: 's', diameter: dim(50), endDiameter: dim(10) }]);
const long = partOf([{ kind: 'cylinder', id: 'c', length: dim(400) }]);

describe('sheets at 1:1', () => {
  it.each(PRINTS)('%s stays on A4 and Letter, and has a check bar of 100 mm', (print) => {
    const part = print === 'ball' ? ball : partOf();
    for (const paper of ['A4', 'Letter'] as const)
      for (const page of printOf(print, wish({ part, paper }))) {
        const { width, height } = PAPERS[paper];
        expect([page.width, page.height].sort()).toEqual([width, height].sort());
        expect(reach(page).x).toBeLessThanOrEqual(page.width + 1e-6);
        expect(reach(page).y).toBeLessThanOrEqual(page.height + 1e-6);
        expect(lines(page).some((l) => l.weight === 0.4 && Math.abs(l.x1 - l.x0 - 100) < 1e-9)).toBe(true);
      }
  });

  it.each(['wrap', 'card'] as const)('%s has a line at every mark, at its true distance', (form) => {
    const part = partOf();
    const [page] = storyStick(form, {
      title: 'S',
      outline: part.outline,
      layout: part.layout,
      paper: 'roll',
    });
    const xs = lines(page!)
      .filter((l) => l.weight === 0.25 && l.x0 === l.x1)
      .map((l) => l.x0 - MARGIN);
    expect(xs).toEqual(part.layout.marks.map((m): unknown => expect.closeTo(m.x, 9)));
  });

  it('the card is cut along the half profile', () => {
    const part = partOf();
    const [page] = storyStick('card', {
      title: 'S',
      outline: part.outline,
      layout: part.layout,
      paper: 'roll',
    });
    const edge = pointsOf(cuts(page!)[0]);
    const axis =
      Math.max(...edge.map((p) => p[1])) +
      Math.min(...edge.slice(2, -1).map(([x]) => radiusAt(part.outline, x - MARGIN)));
    const off = edge.slice(3, -2).map(([x, y]) => axis - y - radiusAt(part.outline, x - MARGIN));
    expect(Math.max(...off) - Math.min(...off)).toBeLessThan(0.02);
  });

  it('measures a ball by its middle, not by where its necks are', () => {
    const sheet = (form: 'stick' | 'wrap' | 'card', part: PartPlan) => {
      const { outline, layout } = part;
      return storyStick(form, { title: 'S', outline, layout, paper: 'roll' })[0]!;
    };
    const [round] = cuts(sheet('wrap', ball));
    const ys = pointsOf(round).map((p) => p[1]);
    // once round the roughed cylinder of 51
    expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(Math.PI * 51, 6);
    const edge = pointsOf(cuts(sheet('card', ball))[0]);
    const card = edge.map((p) => p[1]);
    // the card keeps 18 above the middle of the ball, and nothing of it lies above its own edge
    expect(Math.min(...card)).toBeCloseTo(edge[0]![1], 9);
    expect(Math.abs(Math.min(...card.slice(2, -1)) - edge[0]![1] - 18)).toBeLessThan(0.011);
    const great = partOf([{ kind: 'sphere', id: 's', diameter: dim(90), endDiameter: dim(10) }]);
    const words = sheet('stick', great).ink.flatMap((i) => (i.kind === 'text' ? [i.text] : []));
    expect(words.join()).toContain('cut off above 80');
  });

  it('a stick measures from the mark that was chosen, on its labels as in its hint', () => {
    const { pattern, workshop, stock, order, schools } = structuredClone(inputs);
    const [part] = plan(pattern, workshop, stock, { ...order, datum: 'e2.end' }, schools).parts;
    const [page] = storyStick('stick', {
      title: 'S',
      outline: part.outline,
      layout: part.layout,
      paper: 'roll',
    });
    const words = page!.ink.flatMap((i) => (i.kind === 'text' ? [i.text] : []));
    const datum = part.layout.marks.find((m) => m.id === 'e2.end')!;
    for (const mark of part.layout.marks)
      expect(words).toContain(`${mark.label}: ${threeUnits(mark.x - datum.x)}`);
    expect(words.join()).toContain(`All marks from the ${datum.label}`);
    expect(datum.x).toBeGreaterThan(0);
  });

  it('a long stick is split on paper and whole on a roll', () => {
    const wishFor = (paper: 'A4' | 'roll') => ({
      title: 'S',
      outline: long.outline,
      layout: long.layout,
      paper,
    });
    expect(storyStick('stick', wishFor('A4'))).toHaveLength(2);
    const [whole, ...rest] = storyStick('stick', wishFor('roll'));
    expect(rest).toEqual([]);
    expect(whole?.width).toBeCloseTo(400 + 2 * MARGIN, 9);
  });

  it('no label of the stick lies over another or over a leader', () => {
    const [page] = storyStick('stick', {
      title: 'S',
      outline: partOf().outline,
      layout: partOf().layout,
      paper: 'A4',
    });
    const words = page!.ink.flatMap((i) =>
      i.kind === 'text' && i.bold && i.size === 3
        ? [{ x0: i.x, x1: i.x + i.text.length * i.size * 0.55, y: i.y }]
        : [],
    );
    const leaders = lines(page!).filter((l) => l.dashed);
    expect(words.length).toBeGreaterThan(4);
    for (const [n, a] of words.entries()) {
      for (const b of words.slice(n + 1))
        expect(a.x1 < b.x0 || b.x1 < a.x0 || Math.abs(a.y - b.y) > 3).toBe(true);
      expect(leaders.filter((l) => l.x0 > a.x0 && l.x0 < a.x1 && l.y1 > a.y)).toEqual([]);
    }
  });

  it('says what the piece has nothing of', () => {
    expect(() => printOf('ball', wish())).toThrow('There is no ball in this piece.');
    expect(() => printOf('radii', wish({ part: long }))).toThrow('round or hollow');
    const fixed = structuredClone(partOf());
    fixed.layout.sizing = [];
    expect(() => printOf('gauges', wish({ part: fixed }))).toThrow('fixed gauge already');
  });
});

describe('slot gauges', () => {
  it('are as wide as their size, and narrower by the kerf for a cutter', () => {
    const width = (kerf: number) => {
      const [page] = slotGauges([{ go: 24, noGo: null }], { title: 'S', paper: 'A4', kerf });
      const line = pointsOf(cuts(page!)[0]);
      return (line[3]?.[0] ?? 0) - (line[2]?.[0] ?? 0);
    };
    expect(width(0)).toBeCloseTo(24, 9);
    expect(width(0.2)).toBeCloseTo(23.8, 9);
  });

  it('have both limits of a mating diameter on one card, the go slot above', () => {
    const [page] = slotGauges([{ go: 20.1, noGo: 19.9 }], { title: 'S', paper: 'A4', kerf: 0 });
    const line = pointsOf(cuts(page!)[0]);
    const wide = (i: number) => Math.abs((line[i + 1]?.[0] ?? 0) - (line[i]?.[0] ?? 0));
    expect([wide(2), wide(8)]).toEqual([expect.closeTo(20.1, 9), expect.closeTo(19.9, 9)]);
  });

  it('go on to further sheets when there are many', () => {
    const slots = Array.from({ length: 30 }, (_, i) => ({ go: 10 + i, noGo: null }));
    const pages = slotGauges(slots, { title: 'S', paper: 'A4', kerf: 0 });
    expect(pages.length).toBeGreaterThan(1);
    expect(pages.flatMap(cuts)).toHaveLength(30);
  });

  it('are made for what is still set by calliper', () =>
    expect(cuts(printOf('gauges', wish())[0]!)).toHaveLength(missingSlots(wish().part.layout.sizing).length));
});

describe('the template', () => {
  it('is drawn as it was worked out, to a hundredth; for a cutter wider by half its kerf', () => {
    const part = partOf();
    const copying = copyingOf(inputs.workshop);
    const template = templateOf(part.outline, copying);
    for (const forCutter of [false, true]) {
      const [page] = printOf('template', wish({ part, paper: 'roll', forCutter }));
      const edge = forCutter ? offsetAbove(template.edge, copying.templateKerf / 2) : template.edge;
      const board = pointsOf(cuts(page!)[0]);
      const heights = board.map(([x, y]) => ({ h: heightAt(edge, x - MARGIN - template.lead), y }));
      const top = heights.slice(5, -10).flatMap(({ h, y }) => (h === null ? [] : [h + y]));
      const middle = [...top].sort((a, b) => a - b)[Math.floor(top.length / 2)] ?? 0;
      const near = top.filter((t) => Math.abs(t - middle) < 0.01);
      expect(near.length / top.length).toBeGreaterThan(0.9);
    }
  });

  it('says what a measured check bar means over its length', () => {
    expect(printedLength(100, 270)).toMatchObject({ good: true });
    expect(printedLength(99.5, 270)).toMatchObject({
      good: false,
      words:
        'Over ⟦270⟧ it is ⟦~1.35⟧ too short. Print it again at 100.50 % of what it was printed at, and measure again.',
    });
    expect(printedLength(0, 270).good).toBe(false);
  });
});

describe('files of a sheet', () => {
  const page = printOf('template', wish({ paper: 'roll', forCutter: true }))[0]!;

  it('SVG has its true size, and what is cut apart from what is marked', () => {
    const svg = pageSvg(page, 'a & b');
    expect(svg).toContain(`width="${Number(page.width.toFixed(4))}mm"`);
    expect(svg).toContain('<title>a &amp; b</title>');
    const cut = /<g id="cut"[^>]*>(.*?)<\/g>/s.exec(svg)?.[1] ?? '';
    expect(cut.match(/<path/g)).toHaveLength(cuts(page).length);
  });

  it('DXF has the same points in mm, y upwards, on the layers CUT and MARK', () => {
    const text = pageDxf(page).split(/\r?\n/);
    // group codes and values take turns
    const pairs = text.flatMap((code, i) => (i % 2 === 0 ? [[code.trim(), text[i + 1] ?? ''] as const] : []));
    const from = pairs.findIndex(([code, value]) => code === '8' && value === 'CUT');
    const values = (wanted: string) =>
      pairs.slice(from).flatMap(([code, value]) => (code === wanted ? [Number(value)] : []));
    const drawn = pointsOf(cuts(page)[0]);
    expect(values('10')[7]).toBeCloseTo(drawn[7]?.[0] ?? 0, 4);
    expect(values('20')[7]).toBeCloseTo(page.height - (drawn[7]?.[1] ?? 0), 4);
    expect(pairs.some(([code, value]) => code === '8' && value === 'MARK')).toBe(true);
  });
});

it('a length is written in all three units at once', () =>
  expect(threeUnits(12.7)).toBe('12.7 mm · 0.500" · 1/2"'));

it('radii of an outline come once each, smallest first', () => {
  const radii = radiiOf(partOf().outline);
  expect(radii).toEqual([...new Set(radii)].sort((a, b) => a - b));
  const names: Print[] = ['radii'];
  expect(cuts(printOf(names[0]!, wish())[0]!)).toHaveLength(radii.length);
});
