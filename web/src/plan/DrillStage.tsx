import type { DrillOperation, PartPlan } from '@compas/core';
import { Length, Say } from '../ui/Length.js';

/** Every hole with its bit, depth, tape, withdrawals and speed. */
export function DrillStage({ part }: { part: PartPlan }) {
  if (part.drilling.length === 0) return <p className="sheet">Nothing is drilled in this piece.</p>;
  return (
    <div className="column">
      {part.drilling.map((operation) => (
        <Operation key={operation.id} operation={operation} />
      ))}
      {part.leastWall && (
        <p>
          Least wood left round the hole: <Length mm={part.leastWall.wall} />,{' '}
          <Length mm={part.leastWall.x} /> from the reference end.
        </p>
      )}
    </div>
  );
}

function Operation({ operation: o }: { operation: DrillOperation }) {
  return (
    <div className="sheet">
      <h2>
        {o.name}:{' '}
        {o.bit ? (
          <>
            {o.bit.kind} bit, <Length mm={o.bit.diameter.mm} />
          </>
        ) : (
          'no bit'
        )}
      </h2>
      <table className="table">
        <tbody>
          <tr>
            <th scope="row">Depth to the shoulder</th>
            <td className="number">
              <Length mm={o.toShoulder} />
            </td>
          </tr>
          <tr>
            <th scope="row">Depth to the point</th>
            <td className="number">
              <Length mm={o.toPoint} />
            </td>
          </tr>
          <tr>
            <th scope="row">Tape, from the point</th>
            <td className="number">
              <Length mm={o.tapeAt} />
            </td>
          </tr>
          <tr>
            <th scope="row">Speed</th>
            <td className="number figures">{o.rpm} rpm</td>
          </tr>
          <tr>
            <th scope="row">Withdraw and clear at</th>
            <td className="number">
              {o.pecks.length === 0
                ? 'not needed'
                : o.pecks.map((p) => (
                    <span key={p}>
                      {' '}
                      <Length mm={p} />
                    </span>
                  ))}
            </td>
          </tr>
          <tr>
            <th scope="row">Lubricant</th>
            <td className="number">{o.lubricant}</td>
          </tr>
        </tbody>
      </table>
      <p>
        <Say text={o.choice.consequence} />
      </p>
      <p className="soft">{o.order}</p>
    </div>
  );
}
