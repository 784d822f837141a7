import { FINISH_CURE, minutesInWords, type PartPlan, type PlanInputs } from '@compas/core';
import { AlwaysSo } from './own/AlwaysSo.js';
import { CureChoice } from './own/CureChoice.js';
import { GritsChoice } from './own/GritsChoice.js';
import { OwnList } from './own/OwnList.js';

const OF_SURFACE = ['grits', 'cure'] as const;

/** Grit by grit, then coat by coat. */
export function SurfaceStage({ part, inputs }: { part: PartPlan; inputs: PlanInputs }) {
  const { workshop } = inputs;
  const { ladder, finish, speeds } = part;
  const sanding = speeds.find((s) => s.stage === 'sand');
  return (
    <div className="column">
      <OwnList part={part} workshop={workshop} kinds={OF_SURFACE} />
      <h2>
        {ladder.length === 0
          ? 'Straight from the tool'
          : `Sand with ${ladder.length} grits, ${sanding?.words ?? ''}`}
      </h2>
      <div className="row gap-close">
        {ladder.map((grit, i) => (
          <span key={grit.abrasive.id} className="row gap-close">
            {i > 0 && <span aria-hidden>→</span>}
            <span className="sheet grit">
              <b className="figures">
                {grit.abrasive.scale}
                {grit.abrasive.grit}
              </b>{' '}
              <span className="soft">
                {grit.minutes} min, {grit.microns.toFixed(0)} µm
              </span>
            </span>
          </span>
        ))}
      </div>
      {ladder.length > 0 && (
        <p className="soft">
          The same time with each grit. Reverse between grits if the lathe can; stop and go along the grain
          before the next.
        </p>
      )}
      <GritsChoice abrasives={workshop.abrasives} ladder={ladder} />
      {finish ? (
        <>
          <h2>{finish.finish.name}</h2>
          <table className="table">
            <tbody>
              {finish.coats.map((coat, i) => (
                <tr key={i}>
                  <td className="figures">{i + 1}</td>
                  <td>{coat.name}</td>
                  <td>{coat.speed === 'stopped' ? 'standing still' : `turning ${coat.speed}`}</td>
                  <td className="number">
                    {coat.waitMinutes > 0 ? `then wait ${minutesInWords(coat.waitMinutes)}` : ''}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p>
            {finish.cureMinutes > 0
              ? `Cures ${minutesInWords(finish.cureMinutes)} before it is handled.`
              : 'May be handled at once.'}
          </p>
          <CureChoice of={FINISH_CURE} what="the finish" minutes={finish.cureMinutes} />
        </>
      ) : (
        <p>No finish.</p>
      )}
      <AlwaysSo
        part={part}
        inputs={inputs}
        decides={{ kind: 'finish', finishId: finish?.finish.id ?? null }}
        label="Finish it so always"
      />
    </div>
  );
}
