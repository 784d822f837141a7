import { dim, extremes, outlineOf, plan, STARTING_FORMS, type Figure } from '@compas/core';
import { fireEvent, screen } from '@testing-library/react';
import { exampleInputs } from '../../../core/src/plan/exampleShop.js';
import { shownInApp } from '../../test/inApp.js';
import { Figures } from '../ui/Figures.js';
import { DecidesLayer, placedApart } from './DecidesLayer.js';
import { FrameContext, frameFor } from './frame.js';

const finial = STARTING_FORMS.find((f) => f.id === 'finial') ?? STARTING_FORMS[0];
const body = { ...finial.body({ ball: dim(19) }, 'beech'), hardware: [] };
const outline = outlineOf(body.parts[0].turnings[0]);
const { workshop, stock, order, schools } = exampleInputs(2);
const figures: Figure[] = plan(body, workshop, stock, order, schools).figures.pattern ?? [];
const frame = frameFor({
  width: 900,
  length: outline.length,
  largestRadius: 15,
  before: 0,
  after: 0,
  headstockEnd: 'reference',
  tallest: 236,
});
const drawn = (onOpen?: (id: string) => void) =>
  shownInApp(
    <svg>
      <FrameContext value={frame}>
        <DecidesLayer outline={outline} figures={figures} {...(onOpen ? { onOpen } : {})} />
      </FrameContext>
    </svg>,
  );
/** Where the first point of a path lies. */
const begins = (path: Element | null) =>
  (/M([\d.]+),([\d.]+)/.exec(path?.getAttribute('d') ?? '') ?? []).slice(1).map(Number);

describe('what decides', () => {
  it('is told apart from the figures that have no place', () => {
    const { placed, others } = placedApart(figures);
    expect(placed.map((f) => f.id.split('.')[0]).sort()).toEqual(['balance', 'leaststiff', 'narrowest']);
    expect(others.map((f) => f.id)).toContain('mass');
    expect(placed.length + others.length).toBe(figures.length);
  });

  it('is drawn where it is: a calliper on the thinnest place, the balance under the work', () => {
    const { container } = drawn();
    const thin = figures.find((f) => f.id.startsWith('narrowest'))!;
    const [x, y] = begins(container.querySelector('.calliper-point'));
    const at = Number(thin.working.inputs[0]?.value);
    expect(x).toBeCloseTo(frame.at(at), 3);
    expect(y).toBeCloseTo(frame.up(Number(thin.value) / 2), 3);
    // its figure stands over the wood beside it and what can be taken hold of there
    const figure = container.querySelector('.decides text')!;
    const [px, top] = [Number(figure.getAttribute('x')), Number(figure.getAttribute('y'))];
    const [a, b] = [px, px + (figure.getAttribute('text-anchor') === 'end' ? -30 : 30)].map(
      (p) => (p - frame.at(0)) / (frame.at(1) - frame.at(0)),
    );
    const over = extremes(outline, Math.min(a!, b!), Math.max(a!, b!)).largest.diameter / 2;
    expect(top).toBeLessThan(frame.up(over) - 8);
    const balance = figures.find((f) => f.id.startsWith('balance'))!;
    const [under, below] = begins(container.querySelector('.fulcrum'));
    expect(under).toBeCloseTo(frame.at(Number(balance.value)), 3);
    expect(below).toBeGreaterThan(frame.axis);
    // said to who hears the screen, and no button where nothing opens
    expect(screen.getByRole('img', { name: /Thinnest place: / })).toBeDefined();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('opens its working by pointer and by key', () => {
    const opened: string[] = [];
    drawn((id) => opened.push(id));
    fireEvent.click(screen.getByRole('button', { name: /Balance/ }));
    fireEvent.keyDown(screen.getByRole('button', { name: /Least stiff/ }), { key: 'Enter' });
    expect(opened.map((id) => id.split('.')[0])).toEqual(['balance', 'leaststiff']);
  });

  it('a figure that is asked for elsewhere stands open, and can be closed', () => {
    const { placed } = placedApart(figures);
    shownInApp(<Figures figures={placed} opened={placed[0]?.id ?? null} />);
    expect(screen.getByText(/Smallest diameter that carries wood/)).toBeDefined();
    fireEvent.click(screen.getByRole('button', { name: /Thinnest place/ }));
    expect(screen.queryByText(/Smallest diameter that carries wood/)).toBeNull();
  });
});
