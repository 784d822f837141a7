import { useUnits } from '../ui/units.js';
import { PaperChoice, printAddress, usePaper } from './Paper.js';

/** Batch sheet and story stick as PDF, on the paper at hand. */
export function PrintLinks({ batchId }: { batchId: string }) {
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
      <a href={printAddress(batchId, 'stick', paper, 'pdf')} target="_blank" rel="noreferrer">
        Story stick 1:1
      </a>
    </span>
  );
}
