import {
  BATCHING_SCHOOLS,
  type DryingWood,
  materialById,
  materialsOf,
  SPEED_SCHOOLS,
  type Workshop,
} from '@compas/core';
import { Button, DatePicker, InputNumber, Select } from 'antd';
import dayjs from 'dayjs';
import type { ReactNode } from 'react';
import { NO_FINISH, ONLY, type Draft } from './draft.js';
import { choicesOf } from '../ui/choices.js';
import { dayWords } from '../ui/clock.js';

interface OrderBandProps {
  draft: Draft;
  workshop: Workshop;
  /** changes one choice in the address */
  set: (key: string, value: string | null) => void;
  parts: readonly { id: string; name: string }[];
  /** wood of the chosen material that still dries */
  woods: readonly DryingWood[];
  /** for whom it is made: to choose it, and as it reads */
  whom: ReactNode;
  whomWords: ReactNode;
  /** the choices are in sight; else the order is one line of words */
  open: boolean;
  onOpen: (open: boolean) => void;
  children: ReactNode;
}

const DAY = 'YYYY-MM-DD';
const CLOCK = 'HH:mm';
const DRY_STOCK = 'dry';
const WHOLE = '';

/** The order, always in sight while the plan is being made: as one line of words that opens to its choices. */
export function OrderBand(props: OrderBandProps) {
  const { draft, workshop, set, parts, woods, whom, open, onOpen, children } = props;
  const { order } = draft;
  if (!open) return <OrderLine {...props} />;
  return (
    <div className="band" role="group" aria-label="Order">
      <label>
        How many
        <InputNumber
          aria-label="How many"
          value={order.pieces}
          min={1}
          max={2000}
          precision={0}
          className="w-digits"
          onChange={(n) => set('pieces', n === null ? null : String(n))}
        />
      </label>
      {parts.length > 1 && (
        <label>
          What is made
          <Select
            aria-label="What is made"
            value={order.others === undefined ? (order.partId ?? parts[0]?.id) : WHOLE}
            onChange={(id) => set(ONLY, id === WHOLE ? null : id)}
            options={[
              { value: WHOLE, label: 'whole items' },
              ...parts.map((p) => ({ value: p.id, label: `only ${p.name}` })),
            ]}
            className="w-name"
          />
        </label>
      )}
      {whom}
      <label>
        By when
        <DatePicker
          aria-label="By when"
          value={order.due === null ? null : dayjs(order.due)}
          format={DAY}
          onChange={(day) => set('due', day ? day.format(DAY) : null)}
          className="w-word"
        />
      </label>
      <WoodFields draft={draft} workshop={workshop} set={set} woods={woods} />
      <WayFields draft={draft} set={set} />
      <span className="band-do">
        <Button type="text" size="large" aria-expanded onClick={() => onOpen(false)}>
          Fold
        </Button>
        {children}
      </span>
    </div>
  );
}

/** The order as it reads. */
function OrderLine({
  draft: { order, schools },
  workshop,
  parts,
  whomWords,
  onOpen,
  children,
}: OrderBandProps) {
  const material = materialById(order.materialId, workshop.materials)?.name.toLowerCase() ?? order.materialId;
  const finish =
    workshop.finishes.find((f) => f.id === order.finishId)?.name.toLowerCase() ?? 'from the tool';
  const only =
    order.others === undefined ? parts.find((p) => p.id === (order.partId ?? parts[0]?.id)) : undefined;
  return (
    <div className="band-line">
      <button type="button" aria-expanded={false} onClick={() => onOpen(true)}>
        {order.pieces} {parts.length > 1 && (only ? `${only.name.toLowerCase()} ` : 'whole items ')}
        for {whomWords}
        {order.due !== null && `, by ${dayWords(order.due)}`}; {order.green === true ? 'green ' : ''}
        {material}, {finish}, {BATCHING_SCHOOLS[schools.batching]}
        <span className="band-open">change</span>
      </button>
      <span className="band-do">{children}</span>
    </div>
  );
}

/** What it is made of and how its surface is left. */
function WoodFields({
  draft: { order },
  workshop,
  set,
  woods,
}: Pick<OrderBandProps, 'draft' | 'workshop' | 'set' | 'woods'>) {
  return (
    <>
      <label>
        Material
        <Select
          aria-label="Material"
          value={order.materialId}
          onChange={(id) => set('material', id)}
          showSearch={{ optionFilterProp: 'label' }}
          options={materialsOf(workshop.materials).map((m) => ({ value: m.id, label: m.name }))}
          className="w-word"
        />
      </label>
      {woods.length > 0 && (
        <label>
          Wood
          <Select
            aria-label="Wood"
            value={order.woodId ?? DRY_STOCK}
            onChange={(id) => set('wood', id === DRY_STOCK ? null : id)}
            options={[
              { value: DRY_STOCK, label: 'dry stock' },
              ...woods.map((w) => ({
                value: w.id,
                label: `${w.label}, ${w.readyOn === null ? 'nobody knows when' : `from ${dayWords(w.readyOn)}`}`,
              })),
            ]}
            className="w-line"
          />
        </label>
      )}
      <label>
        Finish
        <Select
          aria-label="Finish"
          value={order.finishId ?? NO_FINISH}
          onChange={(id) => set('finish', id)}
          options={[
            ...workshop.finishes.map((f) => ({ value: f.id, label: f.name })),
            { value: NO_FINISH, label: 'from the tool' },
          ]}
          className="w-word"
        />
      </label>
    </>
  );
}

/** How the batch goes through the shop. */
function WayFields({ draft: { order, schools }, set }: Pick<OrderBandProps, 'draft' | 'set'>) {
  return (
    <>
      <label>
        Speed school
        <Select
          aria-label="Speed school"
          value={schools.speed}
          onChange={(school) => set('speed', school)}
          options={choicesOf(SPEED_SCHOOLS)}
          className="w-name"
        />
      </label>
      <label>
        Batch goes
        <Select
          aria-label="Batch goes"
          value={schools.batching}
          onChange={(school) => set('by', school)}
          options={choicesOf(BATCHING_SCHOOLS)}
          className="w-word"
        />
      </label>
      <label>
        Begins
        <DatePicker
          aria-label="Begins"
          showTime={{ format: CLOCK, minuteStep: 15 }}
          format={`${DAY} ${CLOCK}`}
          value={dayjs(order.start)}
          allowClear={false}
          onChange={(at) => at && set('start', at.format(`${DAY}T${CLOCK}`))}
          className="w-name"
        />
      </label>
      <label>
        Turned
        <Select
          aria-label="Turned"
          value={order.green === true ? 'green' : 'dry'}
          onChange={(wood) => set('green', wood === 'green' ? 'yes' : null)}
          options={[
            { value: 'dry', label: 'dry' },
            { value: 'green', label: 'green' },
          ]}
          className="w-word"
        />
      </label>
      <label>
        Pieces in a blank
        <InputNumber
          aria-label="Pieces in a blank"
          value={order.perBlank}
          min={1}
          max={50}
          precision={0}
          className="w-date"
          onChange={(n) => set('per', n === null ? null : String(n))}
        />
      </label>
    </>
  );
}
