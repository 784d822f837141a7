import { FileProblem, type CsvProfile } from '@compas/core';
import { Button, Upload } from 'antd';
import { useState } from 'react';
import { readFile } from '../workers/reading.js';
import type { Measured } from './measured.js';

/** What a trace's points are taken to err by, mm: it is told from their own noise. */
const UNSURE = 0;

/** A trace as CSV: places and diameters or radii. */
export function CsvTrace({ onMeasured }: { onMeasured: (measured: Measured | null) => void }) {
  const [why, setWhy] = useState<string | null>(null);
  const [read, setRead] = useState<CsvProfile | null>(null);
  const open = async (file: File) => {
    try {
      const profile = await readFile('trace', await file.text());
      setRead(profile);
      setWhy(null);
      onMeasured({ by: 'trace', points: profile.points, unsure: UNSURE });
    } catch (error) {
      if (!(error instanceof FileProblem)) throw error;
      setWhy(error.message);
      setRead(null);
      onMeasured(null);
    }
  };
  return (
    <div className="column">
      <p>
        A table as CSV: one column for the place along the axis, one for the diameter or the radius. With
        headings such as <i>x, diameter</i> or <i>x, up, down</i> it is known which is which.
      </p>
      <Upload
        accept=".csv,.txt,text/csv"
        showUploadList={false}
        beforeUpload={(file) => {
          void open(file);
          return false;
        }}
      >
        <Button type="primary">Open a trace</Button>
      </Upload>
      {why && (
        <p role="alert" className="trouble">
          {why}
        </p>
      )}
      {read && (
        <p>
          {read.points.length} places, read as {read.readAs}.
        </p>
      )}
    </div>
  );
}
