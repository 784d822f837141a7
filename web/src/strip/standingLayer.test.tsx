import {
  type Does,
  stepDoes,
  dim,
  outlineOf,
  plan,
  standingBefore,
  STARTING_FORMS,
  stepsOfPlan,
} from '@compas/core';
import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { exampleInputs } from '../../../core/src/plan/exampleShop.js';
import { shownInApp } from '../../test/inApp.js';
import { FrameContext, frameFor, type Frame } from './frame.js';
import { StandingLayer } from './StandingLayer.js';

const form = STARTING_FORMS.find((f) => f.id === 'finial') ?? STARTING_FORMS[0];
const body = { ...form.body({ ball: dim(18) }, 'beech'), hardware: [] };
const outline = outlineOf(body.parts[0].turnings[0]);
const { workshop, stock, order, schools } = exampleInputs(1);
const steps = stepsOfPlan(plan(body, workshop, stock, order, schools));
const before = (doing: Does) => {
  const step = steps.find((s) => stepDoes(s, doing));
  return standingBefore(steps, step?.id ?? '', 0.4)!;
};
const frameOf = (width: number): Frame =>
  frameFor({
    width,
    length: outline.length,
    largestRadius: 20,
    before: 20,
    after: 10,
    headstockEnd: 'reference',
    tallest: 380,
  });
const drawn = (standing: ReturnType<typeof before>, frame: Frame, seed: string | null = 'body 1') => (
  <svg>
    <FrameContext value={frame}>
      <StandingLayer standing={standing} outline={outline} look={{ tone: 'honey', seed }} />
    </FrameContext>
  </svg>
);

describe('the wood as it stands', () => {
  const frame = frameOf(900);

  it('shows what was just cut off it receding, and nothing when only the screen changes', () => {
    const [rough, shaped] = [before('rough'), before('shape')];
    const views = [drawn(rough, frame), drawn(shaped, frame), drawn(shaped, frameOf(700))];
    function Next() {
      const [at, go] = useState(0);
      return (
        <>
          <button onClick={() => go(at + 1)}>next</button>
          {views[at]}
        </>
      );
    }
    const { container } = shownInApp(<Next />);
    const gone = () => container.querySelector('.waste-gone')?.getAttribute('d') ?? null;
    const square = container.querySelector('.standing-edge')?.getAttribute('d');
    expect(gone()).toBeNull();
    fireEvent.click(screen.getByText('next'));
    expect(gone() === square).toBe(true);
    fireEvent.click(screen.getByText('next'));
    expect(gone()).toBeNull();
  });

  it('says by its surface what was last done to it', () => {
    const surfaces = (standing: ReturnType<typeof before>) => {
      const { container, unmount } = shownInApp(drawn(standing, frame));
      const faces = [...container.querySelectorAll('.wood-face')];
      const found = faces.map(
        (f) => `${f.getAttribute('data-surface')}${f.querySelector('.tool-marks') ? ', marked' : ''}`,
      );
      unmount();
      return [...new Set(found)].sort();
    };
    expect(surfaces(before('rough'))).toEqual(['sawn, marked']);
    expect(surfaces(before('shape'))).toEqual(['cut', 'roughed, marked']);
    expect(surfaces(before('sanded'))).toContain('cut');
    expect(surfaces(standingBefore(steps, steps.at(-1)?.id ?? '', 0.4)!)).toContain('coated');
  });

  it('has no grain where the material has none', () => {
    const { container } = shownInApp(drawn(before('shape'), frame, null));
    expect([...container.querySelectorAll('.wood-grain')].every((p) => p.getAttribute('d') === '')).toBe(
      true,
    );
  });
});
