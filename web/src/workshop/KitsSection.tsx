import { freshKit, KIT_KIND_LIST, KIT_KINDS, type KitKind, type NewKit, type Workshop } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Select } from 'antd';
import { useState } from 'react';
import { heldKitsQuery } from '../api/workshop.js';
import { Length } from '../ui/Length.js';
import { KitForm } from './KitForm.js';
import { withoutId } from './withoutId.js';

/** The kit list: hardware of the workshop's own kinds, measured with a calliper. */
export function KitsSection({ workshop }: { workshop: Workshop }) {
  const kits = useQuery(heldKitsQuery);
  const [adding, setAdding] = useState<NewKit | null>(null);
  const [open, setOpen] = useState<string | null>(null);
  return (
    <section className="equipment column">
      <div className="row spread">
        <h2>Hardware kits</h2>
        <Select
          aria-label="Add a kit"
          placeholder="+ add a kit"
          value={null}
          className="w-line"
          onChange={(kind: KitKind | null) => kind && setAdding(freshKit(kind))}
          options={KIT_KIND_LIST.map((kind) => ({ value: kind, label: KIT_KINDS[kind].words }))}
        />
      </div>
      {adding && (
        <KitForm
          key={`new ${adding.kind}`}
          held={null}
          first={adding}
          workshop={workshop}
          onDone={() => setAdding(null)}
        />
      )}
      {kits.data?.map(({ kit, version }) => (
        <div key={kit.id}>
          <button
            type="button"
            className="kit-row"
            aria-expanded={open === kit.id}
            onClick={() => setOpen(open === kit.id ? null : kit.id)}
          >
            <b>{kit.name}</b>
            <span className="soft">
              {KIT_KINDS[kit.kind].words}
              {'neckDiameter' in kit && kit.neckDiameter && (
                <>
                  , neck <Length mm={kit.neckDiameter.mm} />
                </>
              )}
            </span>
            <span className="figures">{kit.onHand}</span>
          </button>
          {open === kit.id && (
            <KitForm
              held={{ id: kit.id, version }}
              first={withoutId(kit)}
              workshop={workshop}
              onDone={() => setOpen(null)}
            />
          )}
        </div>
      ))}
    </section>
  );
}
