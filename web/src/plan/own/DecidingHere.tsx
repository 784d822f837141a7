import {
  withWay,
  type Habit,
  type OwnWay,
  type PartPlan,
  type PatternBody,
  type ScopedWay,
  type WayScope,
} from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { useMemo, type ReactNode } from 'react';
import { savePattern, type Pattern } from '../../api/patterns.js';
import { randomId } from '../../api/randomId.js';
import { sessionQuery } from '../../api/session.js';
import { useChange } from '../../api/useChange.js';
import type { WorkshopDetail } from '../../api/workshop.js';
import { editedWorkshop, useWorkshopSave } from '../../workshop/useWorkshopSave.js';
import { DecidingContext, EVERY_SCOPE, isWide, type Deciding, type Wanted } from './deciding.js';

interface DecidingHereProps {
  part: PartPlan;
  /** it is the part that leads the order */
  leads: boolean;
  /** what is decided for this order of this part */
  ways: readonly OwnWay[];
  /** changes them as they are by then: what was decided a moment ago, and is not planned yet, stays */
  changeWays: (change: (ways: readonly OwnWay[]) => OwnWay[]) => void;
  /** where wider decisions are kept; nothing wider can be decided without. What is edited of a pattern is saved by its editor alone */
  wider?: { pattern: Pattern; edited: boolean; workshop: WorkshopDetail };
  children: ReactNode;
}

/** Lets everything below decide otherwise: for the order at once, for pattern and workshop by saving them. */
export function DecidingHere({ part, leads, ways, changeWays, wider, children }: DecidingHereProps) {
  const session = useQuery(sessionQuery);
  const by = session.data?.userName ?? '';
  const pattern = useChange(savePattern, 'patterns');
  const workshop = useWorkshopSave();
  const { mutate: save } = pattern;
  const { mutate: saveHabits, dialog } = workshop;
  const pending = pattern.isPending || workshop.isPending;
  const error = pattern.error ?? workshop.error;
  const habits = useMemo(() => wider?.workshop.body.ways ?? [], [wider]);
  const deciding = useMemo<Deciding>(() => {
    const made = (decides: OwnWay['decides'], why: string): OwnWay => ({
      id: randomId(),
      decides,
      why,
      by,
      at: new Date().toISOString(),
    });
    const change = (scope: WayScope, changed: <T extends OwnWay>(ways: readonly T[]) => T[]) => {
      if (scope === 'order') return changeWays(changed);
      if (!wider) return;
      if (scope === 'pattern') {
        const { id, name, version, body } = wider.pattern;
        return save({ id, name, basedOn: version, body: withPartWays(body, part.partId, changed) });
      }
      const base = editedWorkshop(wider.workshop);
      const { body } = base.value;
      const mine = { ...base.value, body: { ...body, ways: changed<Habit>(body.ways ?? []) } };
      saveHabits({ base, mine });
    };
    return {
      part,
      leads,
      material: part.material.name,
      scopes: wider ? EVERY_SCOPE.filter((s) => s !== 'pattern' || !wider.edited) : ['order'],
      decide: ({ decides, scope, why }: Wanted) => {
        const way = made(decides, why);
        const habit: Habit = {
          ...way,
          ...(scope === 'material' ? { materialId: part.material.id } : {}),
          ...(scope === 'kind' && wider ? { itemKind: wider.pattern.body.kind } : {}),
        };
        change(scope, (all) => withWay(all, habit as (typeof all)[number]));
      },
      skipped: ways.flatMap((way) => {
        const { decides: d } = way;
        const habit = d.kind === 'usual' && habits.find((h) => h.id === d.wayId);
        return habit ? [{ habit, by: { way, scope: 'order' as const } }] : [];
      }),
      takeBack: ({ way, scope }: ScopedWay) =>
        change(isWide(scope) ? 'workshop' : scope, (all) => all.filter((w) => w.id !== way.id)),
      stopAgain: (finding) =>
        changeWays((all) => all.filter(({ decides: d }) => d.kind !== 'past' || d.finding !== finding)),
      reorder: (orders) =>
        changeWays((all) => [
          ...all.filter((w) => w.decides.kind !== 'before'),
          ...orders.map(({ first, then }) => made({ kind: 'before', first, then }, '')),
        ]),
      pending,
      error,
    };
  }, [by, part, leads, ways, habits, changeWays, wider, save, saveHabits, pending, error]);
  return (
    <DecidingContext value={deciding}>
      {children}
      {dialog}
    </DecidingContext>
  );
}

const withPartWays = (
  body: PatternBody,
  partId: string,
  changed: (ways: readonly OwnWay[]) => OwnWay[],
): PatternBody => {
  const [first, ...rest] = body.parts;
  const changedPart = (p: typeof first) => (p.id === partId ? { ...p, ways: changed(p.ways ?? []) } : p);
  return { ...body, parts: [changedPart(first), ...rest.map(changedPart)] };
};
