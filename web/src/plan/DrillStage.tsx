import type { DrillOperation, PartPlan } from '@compas/core';
import { Length, Say } from '../ui/Length.js';

/** Every hole with its bit, depth, tape, withdrawals and speed. */
export function DrillStage({ part }: { part: PartPlan }) {
  const cross = part.steps.find((s) => s.id === 'drill.cross');
  if (part.drilling.length === 0 && !cross) return <p className="sheet">Nothing is drilled in this piece.</p>;
  return (
    <div className="column">
      {cross && (
        <div className="sheet">
          <h2>{cross.title}</h2>
          <p className="soft">While the blank is square, all from one end.</p>
          <ul>
            {cross.words.map((words) => (
              <li key={words}>
                <Say text={words} />
              </li>
            ))}
          </ul>
          {part.crossWall && part.crossWall.wall >= 0 && (
            <p>
              Least wood left at them: <Length mm={part.crossWall.wall} />.
            </p>
          )}
        </div>
      )}
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
