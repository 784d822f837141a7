import { BALL_SHARES, ballByFacets, firstMark, secondMark, TRUING, type BallMark } from '@compas/core';
import { FineLength, Length } from '../ui/Length.js';
import { BallDrawing } from './BallDrawing.js';
import { Print1to1 } from './Paper.js';

const SHARE_WORDS = ['a quarter', 'a third', 'half'];

/** A ball by both schools: exact facets from its diameter, and marks by shares with what they leave or cut into. */
export function BallPanel({ diameter, batchId }: { diameter: number; batchId?: string }) {
  const stages = ballByFacets(diameter);
  return (
    <>
      <h2>
        Ball of <Length mm={diameter} />
      </h2>
      <div className="row at-top gap-wide">
        <BallDrawing />
        <table className="table beside" aria-label="Facets from the diameter">
          <thead>
            <tr>
              <th>Facets from the diameter</th>
              <th className="number">begun at</th>
              <th className="number">left on the radius</th>
            </tr>
          </thead>
          <tbody>
            {stages.map((s) => (
              <tr key={s.stage}>
                <td>
                  {s.stage}. {s.words}
                </td>
                <td className="number">
                  {s.from === null ? (
                    '–'
                  ) : (
                    <b>
                      <Length mm={s.from} />
                    </b>
                  )}
                </td>
                <td className="number">
                  <FineLength mm={s.left} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <table className="table" aria-label="Marks by shares">
        <thead>
          <tr>
            <th>Marks by shares</th>
            <th className="number">begun at</th>
            <th>what the cut does</th>
          </tr>
        </thead>
        <tbody>
          {BALL_SHARES.map((share, i) => (
            <Share
              key={share}
              words={`45°, ${SHARE_WORDS[i] ?? ''} of the diameter`}
              mark={firstMark(diameter, share)}
            />
          ))}
          {BALL_SHARES.slice(0, 2).map((share, i) => (
            <Share
              key={share}
              words={`22.5°, ${SHARE_WORDS[i] ?? ''} of the facet`}
              mark={secondMark(diameter, share)}
            />
          ))}
        </tbody>
      </table>
      <h3>Truing between cups, three axes</h3>
      <ol>
        {TRUING.map(({ axis, words }) => (
          <li key={axis}>
            <b>{axis}.</b> {words}
          </li>
        ))}
      </ol>
      <Print1to1 batchId={batchId} print="ball" />
    </>
  );
}

function Share({ words, mark }: { words: string; mark: BallMark }) {
  const safe = mark.leaves >= 0;
  return (
    <tr>
      <td>{words}</td>
      <td className="number">
        <Length mm={mark.from} />
      </td>
      <td className={safe ? undefined : 'bad'}>
        {safe ? 'leaves ' : '■ cuts into the ball by '}
        <FineLength mm={Math.abs(mark.leaves)} />
      </td>
    </tr>
  );
}
