import { formatLength, slotGauge, threeUnits, withoutShade, type WantedSlot } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { randomId } from '../api/randomId.js';
import { useChange } from '../api/useChange.js';
import { saveWorkshop, workshopQuery } from '../api/workshop.js';
import { Trouble } from '../ui/Trouble.js';
import { useUnits } from '../ui/units.js';

/** The slots that lack; those that are cut join the workshop's gauges, one by one or all at once. */
export function AddGauges({ missing }: { missing: readonly WantedSlot[] }) {
  const workshop = useQuery(workshopQuery).data;
  const add = useChange(saveWorkshop, 'workshop');
  const { units } = useUnits();
  // a plan that is kept goes on with the gauges of its day
  const lacking = missing.filter(
    ({ go, noGo }) => !workshop?.body.gauges.some((g) => g.size?.mm === go && (g.noGo?.mm ?? null) === noGo),
  );
  const areCut = (slots: readonly WantedSlot[]) => {
    if (!workshop) return;
    const { name, version, body } = workshop;
    const gauges = slots.map((slot) =>
      slotGauge(slot, randomId().slice(0, 8), `${withoutShade(formatLength(slot.go, units))} slot`),
    );
    add.mutate({ name, basedOn: version, body: { ...body, gauges: [...body.gauges, ...gauges] } });
  };
  return (
    <>
      <ul className="sizes">
        {missing.map((slot) => {
          const size =
            slot.noGo === null
              ? threeUnits(slot.go)
              : `go ${threeUnits(slot.go)}, no-go ${threeUnits(slot.noGo)}`;
          return (
            <li key={size} className="figures">
              {size}{' '}
              {lacking.includes(slot) ? (
                <button
                  type="button"
                  className="more"
                  aria-label={`It is cut: ${size}`}
                  disabled={!workshop || add.isPending}
                  onClick={() => areCut([slot])}
                >
                  it is cut
                </button>
              ) : (
                <span className="soft">among the gauges since</span>
              )}
            </li>
          );
        })}
      </ul>
      {lacking.length > 1 && (
        <p>
          <Button disabled={!workshop} loading={add.isPending} onClick={() => areCut(lacking)}>
            All {lacking.length} are cut: add them to the gauges
          </Button>
        </p>
      )}
      <Trouble error={add.error} />
    </>
  );
}
