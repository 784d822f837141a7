import type { PartPlan } from '@compas/core';
import { Length, Say } from '../ui/Length.js';

/** Story stick and sizing cuts, all from one end. */
export function MarkStage({ part: { layout } }: { part: PartPlan }) {
  return (
    <div className="column">
      <h2>Size {layout.sizing.length} places, marks from the reference end</h2>
      <table className="table">
        <thead>
          <tr>
            <th>Place</th>
            <th className="number">From the end</th>
            <th className="number">Cut to</th>
            <th className="number">Finished</th>
            <th className="number">±</th>
            <th>Gauge</th>
          </tr>
        </thead>
        <tbody>
          {layout.sizing.map((cut) => (
            <tr key={cut.id}>
              <td>{cut.label}</td>
              <td className="number">
                <Length mm={cut.x} />
              </td>
              <td className="number">
                <b>
                  <Length mm={cut.cutTo} />
                </b>
              </td>
              <td className="number">
                <Length mm={cut.finished} />
              </td>
              <td className="number">
                <Length mm={cut.tolerance} />
              </td>
              <td>
                <Say text={cut.gauge.words} />
                {cut.transfer && (
                  <>
                    <br />
                    <span style={{ color: '#6f4f0b' }}>{cut.transfer}</span>
                  </>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <h2>Story stick</h2>
      <table className="table">
        <tbody>
          {layout.marks.map((mark) => (
            <tr key={mark.id}>
              <td className="number" style={{ width: 110 }}>
                <Length mm={mark.x} />
              </td>
              <td>{mark.label}</td>
              <td className="number">
                {mark.before !== mark.after && mark.before > 0 && (
                  <>
                    <Length mm={mark.before} /> |{' '}
                  </>
                )}
                <Length mm={mark.after} />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
