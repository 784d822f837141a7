import type { Figure } from '../../measure/index.js';
import { SAW_ORDERS, type CutInput } from './cutInput.js';
import type { CutPlan } from './study.js';

/** The figures that decide about a cutting plan, each with its working. */
export function cutFigures(plan: CutPlan, input: CutInput): Figure[] {
  const unit = plan.byVolume ? 'cm3' : 'money';
  return [costFigure(plan, input, unit), ...boundFigure(plan, unit), wasteFigure(plan)];
}

type CostUnit = 'cm3' | 'money';

function costFigure(plan: CutPlan, input: CutInput, unit: CostUnit): Figure {
  const opened = [...new Set(plan.cuts.map((c) => c.stockId))].map((id) => ({
    stock: input.stock.find((s) => s.id === id),
    count: plan.cuts.filter((c) => c.stockId === id).length,
  }));
  return {
    id: 'cut.cost',
    label: 'Stock that is opened',
    value: plan.cost,
    unit,
    working: {
      rule: plan.byVolume
        ? 'Volume of every piece that is opened, since no price is known.'
        : 'Worth of every piece that is opened; what was left over before costs nothing more.',
      source: 'ledger',
      inputs: opened.map(({ stock, count }) => ({
        label: `${count} × ${stock?.label ?? ''}`,
        ...(stock?.cost === null || stock === undefined || plan.byVolume
          ? { value: 'by volume' }
          : { value: count * stock.cost, unit: 'money' as const }),
      })),
    },
  };
}

function boundFigure(plan: CutPlan, unit: CostUnit): Figure[] {
  if (plan.bound === null) return [];
  return [
    {
      id: 'cut.bound',
      label: plan.proven ? 'Least possible, proven' : 'Cannot be less than',
      value: plan.bound,
      unit,
      working: {
        rule: plan.proven
          ? 'Every mix of blanks that a piece of stock can give was listed, and the cheapest choice of them found by integer programming; or the plan costs no more than the bound of the relaxation.'
          : 'The linear relaxation of choosing whole ways of cutting, by column generation: no plan in this order of sawing lies below it.',
        source: 'Gilmore and Gomory, 1961 and 1965',
        school: SAW_ORDERS[plan.order],
        inputs: [
          { label: 'this plan', value: plan.cost, unit },
          {
            label: 'above it at most',
            value: (100 * (plan.cost - plan.bound)) / Math.max(1, plan.bound),
            unit: '%',
          },
          { label: 'one after another as they come', value: plan.compared.cost, unit },
        ],
      },
    },
  ];
}

function wasteFigure(plan: CutPlan): Figure {
  const sum = (of: (c: CutPlan['cuts'][number]) => number) => plan.cuts.reduce((s, c) => s + of(c), 0) / 1000;
  return {
    id: 'cut.waste',
    label: 'Waste',
    value: plan.waste / 1000,
    unit: 'cm3',
    working: {
      rule: 'What is opened, less the blanks and the offcuts that are kept: kerfs, planing, ends, bad places.',
      source: 'geometry of the layout',
      inputs: [
        { label: 'opened', value: sum((c) => c.stockVolume), unit: 'cm3' },
        { label: 'blanks', value: sum((c) => c.blankVolume), unit: 'cm3' },
        { label: 'offcuts kept', value: sum((c) => c.offcutVolume), unit: 'cm3' },
      ],
    },
  };
}
