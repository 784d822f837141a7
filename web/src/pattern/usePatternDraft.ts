import type { PatternBody } from '@compas/core';
import { useQueryClient } from '@tanstack/react-query';
import { App } from 'antd';
import { useCallback, useDeferredValue, useEffect, useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { createPattern, patternQuery, savePattern, type Pattern } from '../api/patterns.js';
import { patternDraft, type EditedPattern as Edited } from '../saving/editedPattern.js';
import { dropDraft } from '../saving/drafts.js';
import { unsaved, useDraft } from '../saving/useDraft.js';
import { useSharedSave } from '../saving/useSharedSave.js';
import { useHistory } from './useHistory.js';

const editedOf = ({ name, body, version }: Pattern) => ({ value: { name, body }, version });

/** A pattern while it is edited: its history, what is kept of it on this device, and how it is saved. */
export function usePatternDraft(pattern: Pattern) {
  const thing = patternDraft(pattern.id);
  const client = useQueryClient();
  const navigate = useNavigate();
  const { message } = App.useApp();
  const [before, setBefore] = useState(() => unsaved<Edited>(thing));
  const history = useHistory<PatternBody>(before?.value.body ?? pattern.body);
  const { present: body, change } = history;
  const [name, setName] = useState(before?.value.name ?? pattern.name);
  const calm = useDeferredValue(body);
  const { base, changed, saved, room } = useDraft<Edited>(
    thing,
    editedOf(pattern),
    useMemo(() => ({ name, body: calm }), [name, calm]),
  );
  const take = useCallback(
    (now: Pattern) => {
      change(now.body);
      setName(now.name);
      saved(editedOf(now));
      setBefore(null);
    },
    [change, saved],
  );
  const saving = useSharedSave<Edited, Pattern>({
    save: async (edited, basedOn) => {
      const now = await savePattern({ id: pattern.id, ...edited, basedOn });
      // at once, and also for somebody who has gone on meanwhile: the plan they are at is of what is saved
      take(now);
      dropDraft(thing);
      return now;
    },
    fetch: async () => editedOf(await client.fetchQuery({ ...patternQuery(pattern.id), staleTime: 0 })),
    duplicate: async (edited) => {
      const made = await createPattern({ ...edited, name: `${edited.name}, mine` });
      await navigate(`/patterns/${made.id}`);
    },
    stale: ['patterns'],
  });
  // somebody else saved while nothing was typed here: then theirs is what is edited
  useEffect(() => {
    if (!changed && pattern.version > base.version) take(pattern);
  }, [changed, pattern, base.version, take]);
  const { mutate } = saving;
  const save = useCallback(
    () =>
      mutate(
        { base, mine: { name: name.trim() || pattern.name, body } },
        {
          onSuccess: (done) => {
            if (done === 'duplicate') return;
            void message.success(savedWords(pattern, done.answer, done.withChangesOf));
          },
        },
      ),
    [mutate, base, name, body, pattern, message],
  );
  return {
    ...history,
    body,
    name,
    setName,
    changed,
    room,
    save,
    saving: saving.isPending,
    error: saving.error,
    dialog: saving.dialog,
    keptAt: changed ? (before?.at ?? null) : null,
    takeBack: () => take(pattern),
  };
}

function savedWords(before: Pattern, now: Pattern, withChangesOf: string | null): string {
  const what = now.revision === before.revision ? 'Saved' : `Saved as revision ${now.revision}`;
  return withChangesOf === null ? `${what}.` : `${what}, together with what ${withChangesOf} changed.`;
}
