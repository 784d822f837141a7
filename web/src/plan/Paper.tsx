import { capitalised, type Paper, type Print, PRINT_WORDS } from '@compas/core';
import { Segmented } from 'antd';
import { useSearchParams } from 'react-router';
import { SHOWN } from '../ui/planAddress.js';

/** The paper at hand; it stays in the address, so that every sheet comes on the same. */
export function usePaper(): [Paper, (paper: Paper) => void] {
  const [search, setSearch] = useSearchParams();
  const paper: Paper = search.get('paper') === 'Letter' ? 'Letter' : 'A4';
  const take = (wanted: Paper) =>
    setSearch(
      (before) => {
        const after = new URLSearchParams(before);
        after.set('paper', wanted);
        return after;
      },
      { replace: true },
    );
  return [paper, take];
}

export function PaperChoice() {
  const [paper, take] = usePaper();
  return (
    <Segmented aria-label="Paper" size="small" value={paper} onChange={take} options={['A4', 'Letter']} />
  );
}

export const printAddress = (
  batchId: string,
  print: Print,
  { paper, format, part }: { paper: Paper; format: 'pdf' | 'svg' | 'dxf'; part: string | null },
) =>
  `/api/batches/${batchId}/prints/${print}?paper=${paper}&format=${format}${part === null ? '' : `&part=${encodeURIComponent(part)}`}`;

/** One sheet at 1:1: on paper, or as a drawing for a laser or saw. */
export function Print1to1({ batchId, print }: { batchId: string | undefined; print: Print }) {
  const [paper] = usePaper();
  const part = useSearchParams()[0].get(SHOWN);
  const name = PRINT_WORDS[print];
  if (batchId === undefined) return <span className="soft">Keep the plan to print it 1:1: {name}.</span>;
  return (
    <span className="print-1to1">
      <b>{capitalised(name)} 1:1</b>
      <a
        href={printAddress(batchId, print, { paper, part, format: 'pdf' })}
        target="_blank"
        rel="noreferrer"
        aria-label={`${name} as PDF`}
      >
        PDF, {paper}
      </a>
      <a
        href={printAddress(batchId, print, { paper, part, format: 'svg' })}
        download
        aria-label={`${name} as SVG`}
      >
        SVG
      </a>
      <a
        href={printAddress(batchId, print, { paper, part, format: 'dxf' })}
        download
        aria-label={`${name} as DXF`}
      >
        DXF
      </a>
    </span>
  );
}
