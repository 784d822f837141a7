import { len } from '../../measure/index.js';
import { belowCorner, octagonOf } from '../blank.js';
import type { BoardCut } from './boardCut.js';
import { isRound, type CutInput, type CutStock } from './cutInput.js';
import type { CutPlan } from './study.js';
import { usable } from './sheet.js';

type SawWork = 'plane' | 'trim' | 'rip' | 'crosscut' | 'mark' | 'clip';

/** One setting of fence, stop or gauge, made once, and what is done with it. */
export interface SawSetting {
  id: string;
  work: SawWork;
  /** what the fence, stop, gauge is set to, mm; null where nothing is set */
  set: number | null;
  title: string;
  words: string;
  /** of which stock how many pieces go through at this setting */
  from: { label: string; pieces: number; note: string }[];
}

/**
 * The plan as work at the saw, in order: planing, trimming, then every fence or stop setting once,
 * from wide to narrow and long to short, then marking centres and clipping corners.
 */
export function sawListOf(plan: CutPlan, input: CutInput): SawSetting[] {
  const boards = plan.cuts.map((cut) => ({
    cut,
    stock: input.stock.find((s) => s.id === cut.stockId) as CutStock,
  }));
  const first =
    plan.order === 'rip-first' ? [rips(boards), crosscuts(boards)] : [crosscuts(boards), rips(boards)];
  const settings = [
    ...planing(boards, input),
    ...trimming(boards),
    ...first.flat(),
    ...finishing(plan, input),
  ];
  return settings.map((setting) => ({ ...setting, from: merged(setting.from) }));
}

/** Pieces that are alike, counted together. */
function merged(from: SawSetting['from']): SawSetting['from'] {
  const known = new Map<string, SawSetting['from'][number]>();
  for (const f of from) {
    const key = `${f.label}|${f.note}`;
    const before = known.get(key);
    known.set(key, before ? { ...before, pieces: before.pieces + f.pieces } : f);
  }
  return [...known.values()];
}

type CutBoard = { cut: BoardCut; stock: CutStock };

function planing(boards: readonly CutBoard[], input: CutInput): SawSetting[] {
  const rough = boards.filter((b) => b.stock.rough);
  if (rough.length === 0) return [];
  return [
    {
      id: 'plane',
      work: 'plane',
      set: null,
      title: 'Plane faces and edges',
      words: `Take ${len(input.sawing.surfacing)} off each face and edge, so that the fence has something true.`,
      from: rough.map(({ stock }) => ({
        label: stock.label,
        pieces: 1,
        note: `to ${len(usable(stock, input.sawing).thickness)} thick, ${len(usable(stock, input.sawing).width)} wide`,
      })),
    },
  ];
}

function trimming(boards: readonly CutBoard[]): SawSetting[] {
  const trimmed = boards.filter((b) => b.stock.endTrim > 0);
  if (trimmed.length === 0) return [];
  return [
    {
      id: 'trim',
      work: 'trim',
      set: null,
      title: 'Trim the first end',
      words: 'Cut back to sound wood, and look at the fresh end: a check that still shows wants more.',
      from: trimmed.map(({ stock }) => ({ label: stock.label, pieces: 1, note: len(stock.endTrim) })),
    },
  ];
}

/** Fence settings, each once, the widest first. Strips sawn through their thickness go through twice. */
function rips(boards: readonly CutBoard[]): SawSetting[] {
  const settings = new Map<number, SawSetting>();
  for (const { cut, stock } of boards) {
    const strips = cut.strips.filter((s) => !s.asIs);
    const widths =
      cut.order === 'rip-first'
        ? strips.map((s) => ({ width: s.width, layers: s.layers }))
        : cut.blanks.map((b) => ({ width: b.width, layers: b.layers }));
    for (const width of new Set(widths.map((w) => w.width))) {
      const alike = widths.filter((w) => w.width === width);
      const most = Math.max(...alike.map((w) => w.layers));
      const note = most > 1 ? `then on edge: ${most} above one another` : '';
      const from = { label: stock.label, pieces: alike.length, note };
      settingFor(settings, width, 'rip', 'Fence', 'Rip along the grain, trued edge to the fence.').from.push(
        from,
      );
    }
  }
  return [...settings.values()].sort((a, b) => (b.set ?? 0) - (a.set ?? 0));
}

/** Stop settings, each once, the longest first. */
function crosscuts(boards: readonly CutBoard[]): SawSetting[] {
  const settings = new Map<number, SawSetting>();
  for (const { cut, stock } of boards) {
    const lengths =
      cut.order === 'rip-first'
        ? cut.blanks.flatMap((b) => new Array<number>(b.layers).fill(b.length))
        : cut.strips.map((s) => s.length);
    for (const length of new Set(lengths)) {
      const pieces = lengths.filter((l) => l === length).length;
      const note =
        stock.form === 'tip'
          ? 'from the thick end, square to where its own middle runs'
          : stock.zones.length > 0
            ? 'cut the marked wood out first'
            : '';
      settingFor(
        settings,
        length,
        'crosscut',
        'Stop',
        'Crosscut against the stop, trimmed end first.',
      ).from.push({
        label: stock.label,
        pieces,
        note,
      });
    }
  }
  return [...settings.values()].sort((a, b) => (b.set ?? 0) - (a.set ?? 0));
}

function settingFor(
  settings: Map<number, SawSetting>,
  set: number,
  work: SawWork,
  title: string,
  words: string,
): SawSetting {
  const known = settings.get(set);
  if (known) return known;
  const made: SawSetting = { id: `${work}.${set}`, work, set, title, words, from: [] };
  settings.set(set, made);
  return made;
}

/** Centres and corners, by section. */
function finishing(plan: CutPlan, { demand, stock }: CutInput): SawSetting[] {
  const roundStock = new Set(stock.filter(isRound).map((s) => s.id));
  const made = new Map<string, number>();
  const round: SawSetting['from'] = [];
  for (const cut of plan.cuts)
    for (const b of cut.blanks)
      if (roundStock.has(cut.stockId))
        round.push({ label: demand.find((d) => d.id === b.demandId)?.label ?? '', pieces: 1, note: '' });
      else made.set(b.demandId, (made.get(b.demandId) ?? 0) + b.layers);
  const cutOf = demand.filter((d) => made.has(d.id));
  const sections = [...new Set(cutOf.map((d) => d.section))].sort((a, b) => b - a);
  const from = (section: number, octagon: boolean) =>
    cutOf
      .filter((d) => d.section === section && (d.octagon || !octagon))
      .map((d) => ({ label: d.label, pieces: made.get(d.id) ?? 0, note: '' }));
  const marks = sections.map((section): SawSetting => ({
    id: `mark.${section}`,
    work: 'mark',
    set: section / 2,
    title: 'Marking gauge',
    words: 'Draw from all four sides on both ends: the centre lies in the small square.',
    from: from(section, false),
  }));
  const clips = sections
    .filter((section) => from(section, true).length > 0)
    .map((section): SawSetting => ({
      id: `clip.${section}`,
      work: 'clip',
      set: belowCorner(octagonOf(section)),
      title: 'Off below each corner, in a V cradle',
      words: `So deep below the corner, all four the same; the flats are then ${len(octagonOf(section).flat)} wide.`,
      from: from(section, true),
    }));
  const centred: SawSetting = {
    id: 'mark.round',
    work: 'mark',
    set: null,
    title: 'Centre finder',
    words: 'Two lines on each end, a quarter turn apart: the centre lies where they cross.',
    from: round,
  };
  return [...marks, ...(round.length > 0 ? [centred] : []), ...clips];
}
