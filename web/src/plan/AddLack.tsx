import type { Entry, Workshop } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { randomId } from '../api/randomId.js';
import { useChange } from '../api/useChange.js';
import { saveWorkshop, workshopQuery } from '../api/workshop.js';
import { Trouble } from '../ui/Trouble.js';
import {
  centreKind,
  chuckKind,
  fixtureKind,
  jawsKind,
  mandrelKind,
  type EquipmentKind,
} from '../workshop/columns.js';
import { EquipmentCell } from '../workshop/EquipmentCell.js';
import { useDeciding } from './own/deciding.js';

/**
 * What lacks is there after all, or is got: what the work asks of it stands in its fields, the rest is put right here. It
 * joins the workshop's, and the plan is laid out with it.
 */
export function AddLack({ lack }: { lack: Entry }) {
  switch (lack.list) {
    case 'centres':
      return (
        <AddEntry
          kind={centreKind}
          begins={lack.entry}
          into={({ centres }, one) => ({ centres: [...centres, one] })}
        />
      );
    case 'mandrels':
      return (
        <AddEntry
          kind={mandrelKind}
          begins={lack.entry}
          into={({ mandrels }, one) => ({ mandrels: [...mandrels, one] })}
        />
      );
    case 'fixtures':
      return (
        <AddEntry
          kind={fixtureKind}
          begins={lack.entry}
          into={({ fixtures = [] }, one) => ({ fixtures: [...fixtures, one] })}
        />
      );
    case 'chucks':
      return (
        <AddEntry
          kind={chuckKind}
          begins={lack.entry}
          into={({ chucks }, one) => ({ chucks: [...chucks, one] })}
        />
      );
    case 'jaws':
      return (
        <AddEntry
          kind={jawsKind}
          begins={lack.entry}
          onto={({ chucks }) => chucks.find((c) => c.id === lack.chuckId)?.name ?? null}
          into={({ chucks }, one) => ({
            chucks: chucks.map((c) => (c.id === lack.chuckId ? { ...c, jaws: [...c.jaws, one] } : c)),
          })}
        />
      );
  }
}

/** A plan in the making goes on with it at once; one that is kept is laid out anew for it. */
export function Added() {
  const kept = useDeciding()?.scopes.every((scope) => scope === 'order') === true;
  return (
    <p className="soft">
      It is among the workshop’s since.{' '}
      {kept
        ? 'This plan is kept: it uses it once it is laid out anew.'
        : 'Where it is asked for all the same, its sizes are not those that the work needs: put them right in its list.'}
    </p>
  );
}

interface AddEntryProps<T> {
  kind: EquipmentKind<T>;
  begins: Omit<T, 'id'>;
  /** what of the workshop it is for, by name; null where that is not there any more, and it cannot be added here */
  onto?: (workshop: Workshop) => string | null;
  /** the list of the workshop with the entry in it */
  into: (workshop: Workshop, entry: T) => Partial<Workshop>;
}

function AddEntry<T extends { id: string }>({ kind, begins, onto, into }: AddEntryProps<T>) {
  const [entry, setEntry] = useState<T | null>(null);
  const workshop = useQuery(workshopQuery).data;
  const add = useChange(saveWorkshop, 'workshop');
  if (!workshop) return null;
  if (add.isSuccess) return <Added />;
  const { name, version, body } = workshop;
  const fits = onto?.(body);
  if (fits === null) return null;
  if (!entry)
    return (
      <p>
        <Button size="small" onClick={() => setEntry({ ...begins, id: randomId().slice(0, 8) } as T)}>
          There is one
        </Button>
      </p>
    );
  return (
    <form
      className="decide"
      aria-label={`Add a ${kind.one}`}
      onSubmit={(e) => {
        e.preventDefault();
        add.mutate({ name, basedOn: version, body: { ...body, ...into(body, entry) } });
      }}
    >
      {fits !== undefined && <p className="soft">For {fits}</p>}
      {kind.columns
        .filter(({ when }) => when?.(entry) ?? true)
        .map((column) => (
          <label key={column.key}>
            {column.label}
            <EquipmentCell item={entry} column={column} label={column.label} onChange={setEntry} />
          </label>
        ))}
      <Button htmlType="submit" type="primary" loading={add.isPending}>
        Add it to the workshop
      </Button>
      <Button onClick={() => setEntry(null)}>Leave it</Button>
      <Trouble error={add.error} />
    </form>
  );
}
