import { type Dimension, currencyOf, GLUE_WORDS, KIT_KINDS, type NewKit, type Workshop } from '@compas/core';
import { Button, Input, Select } from 'antd';
import { useChange } from '../api/useChange.js';
import { createKit, removeKit } from '../api/workshop.js';
import { KeptHere } from '../saving/KeptHere.js';
import { useKeptForm } from '../saving/useKeptForm.js';
import { choicesOf } from '../ui/choices.js';
import { Trouble } from '../ui/Trouble.js';
import { KitAsks } from './KitAsks.js';
import { CountField, KitLengthField, MoneyField, WordField } from './KitFields.js';
import { useKitSave } from './useKitSave.js';

/** A kit with one field set, or left out. */
function withField(kit: NewKit, key: string, value: string | number | Dimension | undefined): NewKit {
  const rest = Object.fromEntries(Object.entries(kit).filter(([k]) => k !== key)) as unknown as NewKit;
  return value === undefined ? rest : { ...kit, [key]: value };
}

interface KitFormProps {
  /** null for a kit that is new */
  held: { id: string; version: number } | null;
  first: NewKit;
  workshop: Workshop;
  onDone: () => void;
}

/** A kit as it is measured, or corrected. */
export function KitForm({ held, first, workshop, onDone }: KitFormProps) {
  const draft = useKeptForm(held ? `kits/${held.id}` : `kits/new/${first.kind}`, {
    value: first,
    version: held?.version ?? 0,
  });
  const kit = draft.mine;
  const create = useChange((made: NewKit) => draft.keptUntil(createKit(made)), 'kits', 'stock');
  const save = useKitSave(held?.id ?? '', first.kind, draft.keptUntil);
  const remove = useChange(removeKit, 'kits', 'stock');
  const close = () => {
    draft.drop();
    onDone();
  };
  const keep = () => {
    if (held === null) create.mutate(kit, { onSuccess: close });
    else save.mutate({ base: draft.base, mine: kit }, { onSuccess: close });
  };
  const { words, lengths, texts = [] } = KIT_KINDS[kit.kind];
  const set = (key: string, value: string | number | Dimension | undefined) =>
    draft.set(withField(kit, key, value));
  return (
    <div className="sheet column">
      <KeptHere at={draft.keptAt} room={draft.room} onTakeBack={draft.takeBack} />
      <div className="row fields">
        <label>
          {words}
          <Input
            value={kit.name}
            aria-label="Name of the kit"
            maxLength={80}
            className="w-line"
            onChange={(e) => set('name', e.target.value)}
          />
        </label>
        <CountField
          kit={kit}
          label="On the shelf"
          value={kit.onHand}
          onChange={(n) => n !== null && set('onHand', n)}
        />
        <MoneyField
          kit={kit}
          label="One costs"
          currency={currencyOf(workshop)}
          minor={kit.cost ?? null}
          onChange={(n) => set('cost', n ?? undefined)}
        />
        <CountField
          kit={kit}
          label="Order again below"
          value={kit.reorderAt ?? null}
          onChange={(n) => set('reorderAt', n ?? undefined)}
        />
        {texts.map((text) => (
          <WordField key={text.key} word={text} kit={kit} onChange={(value) => set(text.key, value)} />
        ))}
        {lengths.map((length) => (
          <KitLengthField key={length.key} kit={kit} length={length} onChange={(v) => set(length.key, v)} />
        ))}
        {'glue' in kit && (
          <label>
            Glue
            <Select
              aria-label={`${kit.name}, glue`}
              value={kit.glue}
              className="w-word"
              onChange={(glue) => set('glue', glue)}
              options={choicesOf(GLUE_WORDS)}
            />
          </label>
        )}
      </div>
      <KitAsks kit={{ ...kit, id: held?.id ?? 'new' }} workshop={workshop} />
      <Trouble error={create.error ?? save.error ?? remove.error} />
      {save.dialog}
      <div className="row">
        {(held === null || draft.changed) && (
          <Button type="primary" loading={create.isPending || save.isPending} onClick={keep}>
            Save the kit
          </Button>
        )}
        {held === null ? (
          <Button onClick={close}>Leave it</Button>
        ) : (
          <Button type="text" onClick={() => remove.mutate(held.id)}>
            Take away
          </Button>
        )}
      </div>
    </div>
  );
}
