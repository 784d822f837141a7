import {
  asTolerance,
  bitWords,
  kitNeeds,
  kitProblems,
  kitWays,
  mandrelInWork,
  materialsOf,
  pickBit,
  threadOf,
  type Thread,
  type FittingWay,
  type Kit,
  type Workshop,
} from '@compas/core';
import { Segmented, Select } from 'antd';
import { useState } from 'react';
import { Length, Say } from '../ui/Length.js';

/** What a kit asks of the wood: holes with the bit that is owned, the diameter to hold, mandrel and glue. */
export function KitAsks({ kit, workshop }: { kit: Kit; workshop: Workshop }) {
  const materials = materialsOf(workshop.materials);
  const [materialId, setMaterialId] = useState('maple');
  const [wished, setWished] = useState<FittingWay | undefined>(undefined);
  const material = materials.find((m) => m.id === materialId) ?? materials[0];
  if (!material || kitProblems(kit).length > 0) return null;
  const ways = kitWays(kit);
  const { bits, mandrels, allowances } = workshop;
  const needs = kitNeeds(kit, {
    end: 'reference',
    material,
    room: allowances.holeRoom,
    bits,
    mandrelIn: (thread) => mandrelInWork(workshop, thread),
    ...(wished ? { way: wished } : {}),
  });
  const thread = 'thread' in kit ? threadOf(kit.thread) : null;
  return (
    <section className="kit-asks">
      <div className="row">
        <b>It asks of</b>
        <Select
          aria-label={`${kit.name}, asked of`}
          size="small"
          value={material.id}
          showSearch={{ optionFilterProp: 'label' }}
          className="w-word"
          onChange={setMaterialId}
          options={materials.map((m) => ({ value: m.id, label: m.name }))}
        />
        {ways.length > 1 && (
          <Segmented
            aria-label={`${kit.name}, way of fitting`}
            size="small"
            value={needs.way}
            onChange={(way) => setWished(way)}
            options={ways.map(({ way, label }) => ({ value: way, label }))}
          />
        )}
      </div>
      <ul>
        {needs.holes.map(({ hole, range }) => {
          const depth = hole.through ? 0 : (hole.steps[0]?.depth.mm ?? 0);
          const { bit, instead, consequence } = pickBit(bits, range, depth);
          const taken = bit ?? instead;
          return (
            <li key={hole.id}>
              {hole.name}: <Length mm={range.best} /> (<Length mm={range.least} bare /> to{' '}
              <Length mm={range.most} />)
              {hole.through ? (
                ', through'
              ) : (
                <>
                  , <Length mm={depth} /> deep
                </>
              )}
              . {bit ? '✔' : instead ? '▲ nearest:' : '■ no bit.'}{' '}
              {taken && <Say text={`${bitWords(taken)}${consequence === '' ? '' : ':'}`} />}{' '}
              <span className="soft">
                <Say text={consequence} />
              </span>
            </li>
          );
        })}
        {needs.mating && (
          <li>
            {needs.mating.label}: <Length mm={needs.mating.diameter} /> ±{' '}
            <Say text={asTolerance(needs.mating.tolerance)} />. <Say text={needs.mating.transfer} />
          </li>
        )}
        {needs.mandrelThread !== undefined && (
          <li>
            Mandrel for {needs.mandrelThread}:{' '}
            {mandrels.find((m) => m.takes === needs.mandrelThread)?.name ??
              '▲ none, it is held in another way'}
            .
          </li>
        )}
        {needs.glue && <li>Glue: {needs.glue}.</li>}
        {thread && (
          <li className="soft">
            {thread.name}: outside <Length mm={thread.outside} />, {pitchWords(thread)}, pitch diameter{' '}
            <Length mm={thread.pitchDiameter} />, root <Length mm={thread.root} />.
          </li>
        )}
      </ul>
    </section>
  );
}

/** A pitch is named, not measured: it is not rounded like a length. */
const pitchWords = ({ pitch, perInch }: Thread): string =>
  perInch === null ? `pitch ${pitch} mm` : `${perInch} threads to the inch`;
