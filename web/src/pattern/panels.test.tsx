import {
  checkPattern,
  dim,
  outlineOf,
  STARTING_FORMS,
  type Element,
  type Hollow,
  type Part,
  type PatternBody,
} from '@compas/core';
import { fireEvent, screen } from '@testing-library/react';
import { useState, type ComponentType } from 'react';
import { exampleWorkshop } from '../../../core/src/plan/exampleShop.js';
import { choose, shownInApp } from '../../test/inApp.js';
import { EditorContext } from './editor.js';
import { firstSpot, insertElement, mirrorPart, turningAt } from './editing.js';
import { changeHollows } from './hollowsAndRings.js';
import { HolesPanel } from './HolesPanel.js';
import { HollowsPanel } from './HollowsPanel.js';
import { RingsPanel } from './RingsPanel.js';
import { SurfacePanel } from './SurfacePanel.js';

let current: PatternBody;

/** A panel beside the strip, with the body it changes. */
function Bench({ Panel, selected }: { Panel: ComponentType; selected: string | null }) {
  const [body, change] = useState(() => STARTING_FORMS[0].body({}, 'maple'));
  current = body;
  const spot = firstSpot(body);
  const editor = {
    body,
    outline: outlineOf(turningAt(body, spot)),
    workshop: exampleWorkshop(),
    spot,
    goTo: () => undefined,
    change,
    selected,
    select: () => undefined,
  };
  return (
    <EditorContext value={editor}>
      <Panel />
    </EditorContext>
  );
}
const shown = (Panel: ComponentType, selected: string | null = null) =>
  shownInApp(<Bench Panel={Panel} selected={selected} />);
const part = (): Part => current.parts[0];
const press = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
/** Typed into a length field and left. */
async function give(user: ReturnType<typeof shown>['user'], label: string, text: string) {
  const field = screen.getByRole('textbox', { name: label });
  await user.clear(field);
  await user.type(field, text);
  await user.tab();
}

describe('holes of a pattern', () => {
  it('along the axis: added, named, stepped, tapered, taken away', async () => {
    const { user } = shown(HolesPanel);
    expect(part().holes).toEqual([]);
    press('+ add a hole');
    await give(user, 'hole, diameter 1', '3/8 in');
    await give(user, 'hole, depth 1', '2 cm');
    const [only] = part().holes[0]!.steps;
    expect(only!.diameter).toMatchObject({ typed: '3/8 in' });
    expect(only!.diameter.mm).toBeCloseTo(9.525, 6);
    expect(only!.depth.mm).toBe(20);
    press('+ step');
    const [first, second] = part().holes[0]!.steps;
    // narrower and deeper than the one before, whatever that was
    expect(second!.diameter.mm).toBeLessThan(first!.diameter.mm);
    expect(second!.depth.mm).toBeGreaterThan(first!.depth.mm);
    press('Taper step 2 of hole');
    expect(part().holes[0]!.steps[1]!.endDiameter!.mm).toBeLessThan(second!.diameter.mm);
    press('Step 2 of hole straight again');
    expect(part().holes[0]!.steps[1]!.endDiameter).toBeUndefined();
    press('Take hole away');
    expect(part().holes).toEqual([]);
  });

  it('that goes through asks for no depth and takes no further step', async () => {
    const { user } = shown(HolesPanel);
    press('+ add a hole');
    await user.click(screen.getByRole('checkbox', { name: 'through' }));
    expect(part().holes[0]!.through).toBe(true);
    expect(screen.queryByRole('textbox', { name: 'hole, depth 1' })).toBeNull();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: '+ step' }).disabled).toBe(true);
  });

  it('across it: the next stands a quarter further round and is counted from the same end', async () => {
    const { user } = shown(HolesPanel);
    press('+ add a cross hole');
    await choose('cross hole, from', 'from the far end');
    press('+ add a cross hole');
    const [first, second] = part().crossHoles!;
    expect([first!.angle, second!.angle]).toEqual([0, 90]);
    expect(second!.from).toBe('far');
    await give(user, 'cross hole, at', '15');
    expect(part().crossHoles!.map((h) => h.at.mm)).toEqual([15, 12]);
    await user.click(screen.getAllByRole('checkbox', { name: 'through' })[0]!);
    expect(part().crossHoles![0]).toMatchObject({ through: false, depth: { mm: 10 } });
    press('Take cross hole away');
    expect(part().crossHoles!.map((h) => h.angle)).toEqual([90]);
  });
});

describe('hollows of a pattern', () => {
  it('begins in the far end, half as wide as that; moved into a side it knows where it lies', async () => {
    const opened = jest.fn();
    const Hollows = () => <HollowsPanel onProfile={opened} />;
    const { user } = shown(Hollows);
    press('+ add a hollow');
    const hollow = () => part().hollows![0]!;
    expect(hollow()).toMatchObject({ name: 'hollow', opens: 'far' });
    expect(checkPattern(current)).toEqual([]);
    await choose('hollow, opens', 'in a side');
    await give(user, 'hollow, middle at', '40');
    await give(user, 'hollow, rim above the axis', '2.5');
    expect(hollow()).toMatchObject({
      opens: 'side',
      rim: { mm: 2.5 },
      axis: { tilt: 90, along: { mm: 40 } },
    });
    press('Its profile');
    expect(opened).toHaveBeenCalled();
    await choose('hollow, opens', 'in the reference end');
    expect([hollow().axis, hollow().rim]).toEqual([undefined, undefined]);
    press('Take hollow away');
    expect(part().hollows).toEqual([]);
  });

  it('its profile is edited like any other, and it turns over with its part', () => {
    const plain = STARTING_FORMS[0].body({}, 'maple');
    const far = outlineOf(plain.parts[0].turnings[0]).length;
    const wall: Element[] = [{ kind: 'cylinder', id: 'w', length: dim(5) }];
    const bowl: Hollow = { id: 'bowl', name: 'bowl', opens: 'far', startDiameter: dim(8), elements: wall };
    const axis = { shift: dim(0), direction: 0, tilt: 90, along: dim(20) };
    const made = changeHollows(plain, 'part1', () => [
      bowl,
      { ...bowl, id: 'side', opens: 'side', rim: dim(3), axis },
    ]);
    const spot = { partId: 'part1', turningId: 'bowl' };
    const longer = insertElement(made, spot, 'taper', 'w');
    expect(turningAt(longer.body, spot).elements.map((e) => e.id)).toEqual(['w', longer.id]);
    expect(longer.body.parts[0].turnings).toEqual(made.parts[0].turnings);
    const [end, lying] = mirrorPart(made, { partId: 'part1', turningId: 'turning1' }).parts[0].hollows!;
    expect(end!.opens).toBe('reference');
    expect(lying!.axis!.along!.mm).toBeCloseTo(far - 20, 6);
  });
});

describe('loose rings', () => {
  it('begin in the middle with room round the shaft, the next beside it; and turn over with the part', async () => {
    const { user } = shown(RingsPanel);
    press('+ add a ring');
    press('+ add a ring');
    const [first, second] = part().rings!;
    const { length } = outlineOf(part().turnings[0]);
    expect(first!.at.mm).toBeCloseTo(length / 2, 0);
    expect(second!.at.mm - first!.at.mm).toBeGreaterThan(first!.width.mm);
    await give(user, 'ring, play round the shaft', '2');
    await give(user, 'ring 2, across', '31');
    expect(part().rings!.map((r) => [r.play.mm, r.across.mm])).toEqual([
      [2, first!.across.mm],
      [1.5, 31],
    ]);
    const [turned] = mirrorPart(current, { partId: 'part1', turningId: 'turning1' }).parts[0].rings!;
    expect(turned!.at.mm).toBeCloseTo(length - first!.at.mm, 6);
    press('Take ring away');
    expect(part().rings!.map((r) => r.name)).toEqual(['ring 2']);
  });
});

describe('decoration', () => {
  it('goes on the element that is chosen, a burnt line narrow, a texture wide', async () => {
    const second = STARTING_FORMS[0].body({}, 'maple').parts[0].turnings[0].elements[1]!.id;
    const { user } = shown(SurfacePanel, second);
    expect(screen.getByText(/Plain\./)).toBeTruthy();
    press('+ burnt line');
    press('+ texture');
    const [line, band] = part().decorations!;
    expect([line!.elementId, band!.elementId]).toEqual([second, second]);
    expect(line!.width.mm).toBeLessThan(band!.width.mm);
    expect(line!.id).not.toBe(band!.id);
    await user.type(screen.getAllByLabelText('Words for the decoration')[0]!, 'with wire');
    expect(part().decorations!.map((d) => d.words)).toEqual(['with wire', undefined]);
    fireEvent.click(screen.getAllByRole('button', { name: 'Take the decoration away' })[0]!);
    expect(part().decorations!.map((d) => d.kind)).toEqual(['texture']);
  });

  it('goes on the first element when none is chosen', () => {
    shown(SurfacePanel);
    press('+ colour');
    expect(part().decorations![0]!.elementId).toBe(part().turnings[0].elements[0]!.id);
  });
});
