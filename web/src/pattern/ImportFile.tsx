import { FileProblem } from '@compas/core';
import { Button, Upload } from 'antd';
import { useState } from 'react';
import type { Imported } from '../workers/importing.js';
import { readFile } from '../workers/reading.js';

/** A file becomes a pattern; what is wrong with it is said, and nothing of it is taken in. */
export function ImportFile({
  words = 'From a file',
  size = 'large',
  onImported,
}: {
  words?: string;
  size?: 'large' | 'small';
  onImported: (read: Imported) => void;
}) {
  const [why, setWhy] = useState<string | null>(null);
  const open = async (file: File) => {
    try {
      onImported(await readFile('pattern', file.name, await file.text()));
      setWhy(null);
    } catch (error) {
      if (!(error instanceof FileProblem)) throw error;
      setWhy(error.message);
    }
  };
  return (
    <span className="row">
      <Upload
        accept=".svg,.dxf,.csv,.txt,.json"
        showUploadList={false}
        beforeUpload={(file) => {
          void open(file);
          return false;
        }}
      >
        <Button size={size}>{words}</Button>
      </Upload>
      {why && (
        <span role="alert" className="import-why">
          {why}
        </span>
      )}
    </span>
  );
}
