import {
  batchSheet,
  deliverySheet,
  layoutProblems,
  pageDxf,
  pageSvg,
  patternDrawing,
  printOf,
  snapshotOf,
  type BoardCut,
  type CutInput,
  type PlanInputs,
  type Print,
} from '@compas/core';
import type { FieldProblem } from '../edge/problem.js';
import { pdfOf } from './pdf.js';

interface PrintWish {
  print: Print;
  wish: Parameters<typeof printOf>[1];
  format: 'pdf' | 'svg' | 'dxf';
  title: string;
}

/**
 * What takes longer than a moment, by its name: each from what it is given alone, so that it can be done anywhere. Files come
 * as their bytes; one that cannot be drawn is a `FileProblem`.
 */
export const JOBS = {
  plan: (inputs: PlanInputs) => snapshotOf(inputs),
  cutting: ({ cuts, input }: { cuts: readonly BoardCut[]; input: CutInput }) => cuttingProblems(cuts, input),
  drawing: (wish: Parameters<typeof patternDrawing>[0]) =>
    pdfOf(patternDrawing(wish), `${wish.title}, drawing`),
  sheet: (wish: Parameters<typeof batchSheet>[0]) => pdfOf(batchSheet(wish), wish.title),
  delivery: (wish: Parameters<typeof deliverySheet>[0]) =>
    pdfOf(deliverySheet(wish), `Delivery to ${wish.to}`),
  print: ({ print, wish, format, title }: PrintWish) => {
    const pages = printOf(print, wish);
    const [page] = pages;
    if (format === 'pdf' || !page) return pdfOf(pages, title);
    return Buffer.from(format === 'svg' ? pageSvg(page, title) : pageDxf(page), 'utf8');
  },
};

export type JobName = keyof typeof JOBS;
export type JobInput<N extends JobName> = Parameters<(typeof JOBS)[N]>[0];
export type JobResult<N extends JobName> = Awaited<ReturnType<(typeof JOBS)[N]>>;

/** A job as it is handed over. */
export interface Job<N extends JobName = JobName> {
  name: N;
  input: JobInput<N>;
}

/** What of a cutting plan cannot be sawn, by its field. */
function cuttingProblems(cuts: readonly BoardCut[], input: CutInput): FieldProblem[] {
  return cuts.flatMap((cut, i) => {
    const stock = input.stock.find((s) => s.id === cut.stockId);
    const field = `plan.cuts.${i}`;
    if (!stock)
      return [
        { field, why: 'A piece of stock in the plan is no longer on the shelf. Plan the cutting again.' },
      ];
    return layoutProblems(cut, stock, input.demand, input.sawing).map((why) => ({
      field,
      why: why.replace(/[⟦⟧]/g, ''),
    }));
  });
}
