import { dim, DRILL_CHUCK, type DrillOperation, type Entry, type Finding, type PartPlan } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { Link, useLocation } from 'react-router';
import { randomId } from '../api/randomId.js';
import { useChange } from '../api/useChange.js';
import { saveWorkshop, workshopQuery } from '../api/workshop.js';
import { Length } from '../ui/Length.js';
import { Trouble } from '../ui/Trouble.js';
import { mendingAt } from '../ui/WayBack.js';
import { Added, AddLack } from './AddLack.js';
import { useDeciding } from './own/deciding.js';
import { GoPast } from './own/GoPast.js';
import { mendPlace } from './mendPlace.js';

interface FindingDoneProps {
  finding: Finding;
  patternId: string;
}

/** What can be done about a finding: what lacks is added here, the place that mends it is opened, or one goes past it. */
export function FindingDone({ finding, patternId }: FindingDoneProps) {
  const { pathname, search } = useLocation();
  const part = useDeciding()?.part;
  const place = mendPlace(finding, patternId);
  const lack = part && lackOf(finding, part);
  const lacks = part?.drilling.find((o) => finding.id === `drill.bit.${o.id}`);
  return (
    <>
      {lacks && <AddBit hole={lacks} />}
      {lack && <AddLack lack={lack} />}
      {place && (
        <p>
          <Link to={mendingAt(place.path, `${pathname}${search}`)}>{place.words}</Link>
        </p>
      )}
      <GoPast finding={finding} />
    </>
  );
}

/** What a finding about holding says that lacks, as it would be listed; null where only a person knows. */
function lackOf({ id }: Finding, { mount, partId }: PartPlan): Entry | null {
  if (id === `mount.drillchuck.${partId}`) return DRILL_CHUCK;
  return mount.lacks?.find(({ words }) => id === `mount.missing.${partId}.${words}`)?.adds ?? null;
}

/** A bit reaches so much farther than its hole is deep, mm. */
const REACHES = 20;
const LEAST_LENGTH = 100;

/** The bit that lacks is there after all, or is got: it joins the workshop's, and the plan is laid out with it. */
function AddBit({ hole }: { hole: DrillOperation }) {
  const workshop = useQuery(workshopQuery).data;
  const add = useChange(saveWorkshop, 'workshop');
  if (!workshop) return null;
  if (add.isSuccess) return <Added />;
  const { instead, off } = hole.choice;
  const mm =
    Math.round((instead ? instead.diameter.mm - off : (hole.hole.steps[0]?.diameter.mm ?? 0)) * 10) / 10;
  const { name, version, body } = workshop;
  const bit = {
    id: randomId().slice(0, 8),
    kind: 'brad point' as const,
    diameter: dim(mm),
    length: Math.max(LEAST_LENGTH, Math.ceil(hole.toShoulder) + REACHES),
  };
  return (
    <p>
      <Button
        size="small"
        loading={add.isPending}
        onClick={() => add.mutate({ name, basedOn: version, body: { ...body, bits: [...body.bits, bit] } })}
      >
        There is one of <Length mm={mm} />
      </Button>
      <Trouble error={add.error} />
    </p>
  );
}
