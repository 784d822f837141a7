import type { BoredHole, CrossOperation, PartPlan } from '@compas/core';
import { Length, Say } from '../ui/Length.js';

/** Every hole with its bit, depth, tape, withdrawals and speed, in the order they are drilled. */
export function DrillStage({ part }: { part: PartPlan }) {
  const { crossDrilling = [], drilling } = part;
  if (drilling.length + crossDrilling.length === 0)
    return <p className="sheet">Nothing is drilled in this piece.</p>;
  return (
    <div className="column">
      {crossDrilling.map((operation) => (
        <Operation key={operation.id} operation={operation} cross={operation} />
      ))}
      {part.crossWall && part.crossWall.wall >= 0 && (
        <p>
          Least wood left at the cross holes: <Length mm={part.crossWall.wall} />.
        </p>
      )}
      {drilling.map((operation) => (
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

/** What a hole across has beside its bit: where it lies and whether it goes through. */
type Across = Pick<CrossOperation, 'x' | 'angle' | 'through'>;

interface OperationProps {
  operation: BoredHole & { after?: string };
  cross?: Across;
}

function Operation({ operation: o, cross }: OperationProps) {
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
          {cross && (
            <tr>
              <th scope="row">Centre, from the reference end</th>
              <td className="number">
                <Length mm={cross.x} />, side {sideOf(cross.angle)}
                {cross.through && ', through'}
              </td>
            </tr>
          )}
          <tr>
            <th scope="row">{cross ? 'From the face to the shoulder' : 'Depth to the shoulder'}</th>
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
      {o.after !== undefined && (
        <p>
          <b>
            <Say text={o.after} />
          </b>
        </p>
      )}
      <p className="soft">{o.order}</p>
    </div>
  );
}

/** Sides of the square blank are counted from the one that faces the turner; between them in degrees. */
const sideOf = (angle: number): string =>
  angle % 90 === 0 ? String(((((angle / 90) % 4) + 4) % 4) + 1) : `at ${angle}°`;
