import { useUnits } from '../ui/units.js';
import { PaperChoice, printAddress, usePaper } from './Paper.js';

/** Batch sheet and story stick as PDF, on the paper at hand; of an item for the part that is shown. */
export function PrintLinks({ batchId, part }: { batchId: string; part: string | null }) {
  const { units } = useUnits();
  const [paper] = usePaper();
  return (
    <span className="row">
      Print on
      <PaperChoice />
      <a
        href={`/api/batches/${batchId}/sheet.pdf?paper=${paper}&units=${units}`}
        target="_blank"
        rel="noreferrer"
      >
        Batch sheet
      </a>
      <a
        href={printAddress(batchId, 'stick', { paper, part, format: 'pdf' })}
        target="_blank"
        rel="noreferrer"
      >
        Story stick 1:1
      </a>
    </span>
  );
}
