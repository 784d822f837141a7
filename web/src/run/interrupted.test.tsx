import { fireEvent, render, screen } from '@testing-library/react';
import { lotsOf, progressOf } from '@compas/core';
import { exampleBatch, recorded } from '../../test/exampleBatch.js';
import { shownInApp } from '../../test/inApp.js';
import { Note } from './Note.js';
import { useUntouched } from './useUntouched.js';
import { WhereItStands } from './WhereItStands.js';

const { snapshot } = exampleBatch();
const { steps, partId } = snapshot.plan.parts[0];
const MINUTE = 60_000;

function Watched({ now }: { now: number }) {
  const [away, here] = useUntouched(now);
  return away ? <button onClick={here}>here again</button> : <p>at work</p>;
}

describe('a screen that nobody touched', () => {
  it('asks after five minutes, and a touch before that begins them anew', () => {
    const begun = Date.now();
    const clock = jest.spyOn(Date, 'now');
    const { rerender } = render(<Watched now={begun} />);
    clock.mockReturnValue(begun + 4 * MINUTE);
    fireEvent.pointerDown(document.body);
    rerender(<Watched now={begun + 8 * MINUTE} />);
    expect(screen.getByText('at work')).toBeTruthy();
    rerender(<Watched now={begun + 9.1 * MINUTE} />);
    // a touch that only looks is no answer
    fireEvent.pointerDown(document.body);
    rerender(<Watched now={begun + 9.2 * MINUTE} />);
    clock.mockReturnValue(begun + 9.3 * MINUTE);
    fireEvent.click(screen.getByRole('button', { name: 'here again' }));
    rerender(<Watched now={begun + 10 * MINUTE} />);
    expect(screen.getByText('at work')).toBeTruthy();
    clock.mockRestore();
  });

  it('says which piece it was, what was done last and when, how it is held and what is next', () => {
    const [saw, face] = [steps[0]!, steps[1]!];
    const events = [
      recorded(2, { kind: 'done', stepId: saw.id }),
      recorded(2, { kind: 'done', stepId: face.id }),
    ];
    const state = progressOf(lotsOf([{ partId, pieces: 3 }]), events, steps).pieces[1]!;
    const onHere = jest.fn();
    const turn = steps.find((s) => s.id === 'rough:round')!;
    shownInApp(
      <WhereItStands
        label="piece 2"
        state={state}
        steps={steps}
        step={turn}
        timeZone="UTC"
        onHere={onHere}
        handed={null}
      />,
    );
    expect(screen.getByRole('heading', { name: 'Is piece 2 on the lathe?' })).toBeTruthy();
    const said = screen.getByRole('region', { name: 'Where it stands' }).textContent;
    expect(said).toContain(`Last${face.title}, Mon 2 Mar, 08:00`);
    expect(said).toContain(turn.title);
    expect(said.toLowerCase()).toContain(turn.setup.holding.toLowerCase());
    fireEvent.click(screen.getByRole('button', { name: 'Yes, go on' }));
    expect(onHere).toHaveBeenCalled();
  });
});

describe('a note on a step', () => {
  const kept = () => {
    const record = jest.fn(() => Promise.resolve(true));
    return { record, ...shownInApp(<Note step={steps[0]!} record={record} />) };
  };

  it('is kept with a touch of a chip', async () => {
    const { user, record } = kept();
    await user.click(screen.getByRole('button', { name: 'Note' }));
    await user.click(screen.getByRole('button', { name: 'took it down a hair' }));
    expect(record).toHaveBeenCalledWith({
      kind: 'noted',
      stepId: steps[0]!.id,
      words: 'took it down a hair',
    });
    expect(await screen.findByRole('button', { name: 'Note' })).toBeTruthy();
  });

  it('that this device could not keep stays as it was typed', async () => {
    const { user, record } = kept();
    record.mockResolvedValue(false);
    await user.click(screen.getByRole('button', { name: 'Note' }));
    await user.type(screen.getByLabelText('In words'), 'hollow the foot more');
    await user.click(screen.getByRole('button', { name: 'Keep the note' }));
    expect(screen.getByLabelText('In words')).toHaveProperty('value', 'hollow the foot more');
  });

  it('takes words, never nothing, and can be left', async () => {
    const { user, record } = kept();
    await user.click(screen.getByRole('button', { name: 'Note' }));
    expect(screen.getByRole('button', { name: 'Keep the note' })).toHaveProperty('disabled', true);
    await user.type(screen.getByLabelText('In words'), '  hollow the foot more ');
    await user.click(screen.getByRole('button', { name: 'Keep the note' }));
    expect(record).toHaveBeenCalledWith({
      kind: 'noted',
      stepId: steps[0]!.id,
      words: 'hollow the foot more',
    });
    await user.click(await screen.findByRole('button', { name: 'Note' }));
    await user.click(screen.getByRole('button', { name: 'Leave it' }));
    expect(record).toHaveBeenCalledTimes(1);
  });
});
