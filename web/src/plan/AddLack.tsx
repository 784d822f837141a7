import type { Entry, Workshop } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useState } from 'react';
import { randomId } from '../api/randomId.js';
import { useChange } from '../api/useChange.js';
import { saveWorkshop, workshopQuery } from '../api/workshop.js';
import { Trouble } from '../ui/Trouble.js';
import { centreKind, fixtureKind, mandrelKind, type EquipmentKind } from '../workshop/columns.js';
import { EquipmentCell } from '../workshop/EquipmentCell.js';

/**
 * What lacks is there after all, or is got: what the work asks of it stands in its fields, the rest is put right here. It
 * joins the workshop's, and the plan is laid out with it.
 */
export function AddLack({ lack: { list, entry } }: { lack: Entry }) {
  switch (list) {
    case 'centres':
      return (
        <AddEntry kind={centreKind} begins={entry} into={(all, one) => [...all.centres, one]} list={list} />
      );
    case 'mandrels':
      return (
        <AddEntry kind={mandrelKind} begins={entry} into={(all, one) => [...all.mandrels, one]} list={list} />
      );
    case 'fixtures':
      return (
        <AddEntry
          kind={fixtureKind}
          begins={entry}
          into={(all, one) => [...(all.fixtures ?? []), one]}
          list={list}
        />
      );
  }
}

/** A plan in the making goes on with it at once; one that is kept is laid out anew for it. */
export const Added = () => (
  <p className="soft">
    It is among the workshop’s since. A plan that is kept uses it once it is laid out anew.
  </p>
);

interface AddEntryProps<T> {
  kind: EquipmentKind<T>;
  begins: Omit<T, 'id'>;
  list: Entry['list'];
  into: (workshop: Workshop, entry: T) => T[];
}

function AddEntry<T extends { id: string }>({ kind, begins, list, into }: AddEntryProps<T>) {
  const [entry, setEntry] = useState<T | null>(null);
  const workshop = useQuery(workshopQuery).data;
  const add = useChange(saveWorkshop, 'workshop');
  if (!workshop) return null;
  if (add.isSuccess) return <Added />;
  const { name, version, body } = workshop;
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
        add.mutate({ name, basedOn: version, body: { ...body, [list]: into(body, entry) } });
      }}
    >
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
