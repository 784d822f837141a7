import { type AcceptanceCheck, CHECK_KINDS, CHECK_STAGES, type CheckKind } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Button, Input, InputNumber, Select } from 'antd';
import { checkResultsQuery } from '../api/patterns.js';
import { withNew } from './editing.js';
import { useEditor } from './editor.js';
import { choicesOf } from '../ui/choices.js';

/** What must hold before a piece goes on, at the step where it is looked at, and how it went so far. */
export function ChecksPanel({ patternId }: { patternId: string }) {
  const { body, change } = useEditor();
  const results = useQuery(checkResultsQuery(patternId));
  const add = () =>
    change(
      withNew(body, 'check', (id, b) => ({
        ...b,
        checks: [
          ...(b.checks ?? []),
          { id, kind: 'felt', words: 'A fingernail does not catch', stage: 'assemble' },
        ],
      })),
    );
  return (
    <div className="column">
      <div className="row">
        <h2>Checks</h2>
        <Button size="small" onClick={add}>
          + add a check
        </Button>
      </div>
      {(body.checks ?? []).length === 0 && (
        <p className="soft">
          None yet. A check is asked at the lathe: a number, something felt, a photo, a trial of its work.
        </p>
      )}
      {(body.checks ?? []).map((check) => (
        <CheckRow
          key={check.id}
          check={check}
          so={resultWords(results.data?.find((r) => r.checkId === check.id))}
        />
      ))}
    </div>
  );
}

function resultWords(
  result: { passed: number; failed: number; batches: number; values: number[] } | undefined,
): string {
  if (!result) return 'not made yet';
  const batches = result.batches === 1 ? 'one batch' : `${result.batches} batches`;
  const mean = result.values.reduce((sum, v) => sum + v, 0) / Math.max(1, result.values.length);
  const numbers = result.values.length > 0 ? `, on average ${mean.toFixed(2)}` : '';
  return `held ${result.passed} of ${result.passed + result.failed} times in ${batches}${numbers}`;
}

function CheckRow({ check, so }: { check: AcceptanceCheck; so: string }) {
  const { body, change } = useEditor();
  const put = (changed: AcceptanceCheck, tag?: string) =>
    change({ ...body, checks: body.checks?.map((c) => (c.id === check.id ? changed : c)) }, tag);
  const counted = check.kind === 'number' || check.kind === 'function';
  const owners = [
    { value: '', label: 'the whole item' },
    ...body.parts.flatMap((p) =>
      p.turnings.flatMap((t) => t.elements.map((e) => ({ value: e.id, label: e.name ?? e.kind }))),
    ),
    ...(body.joins ?? []).map((j) => ({ value: j.id, label: `join: ${j.kind}` })),
  ];
  return (
    <div className="row hole-row">
      <Select<CheckKind>
        aria-label="Kind of check"
        className="w-word"
        value={check.kind}
        options={choicesOf(CHECK_KINDS)}
        onChange={(kind) => put({ ...check, kind })}
      />
      <Input
        aria-label="What is looked at"
        className="w-line"
        maxLength={200}
        value={check.words}
        onChange={(e) => put({ ...check, words: e.target.value || '…' }, `check words ${check.id}`)}
      />
      <Select
        aria-label="What it is on"
        className="w-word"
        value={check.onId ?? ''}
        options={owners}
        onChange={(id) => put({ ...check, onId: id || undefined })}
      />
      <Select
        aria-label="When it is made"
        className="w-phrase"
        value={check.stage}
        options={choicesOf(CHECK_STAGES)}
        onChange={(stage) => put({ ...check, stage })}
      />
      {counted && (
        <>
          <InputNumber
            aria-label="At least"
            placeholder="at least"
            className="w-figure"
            value={check.least}
            onChange={(least) => put({ ...check, least: least ?? undefined })}
          />
          <InputNumber
            aria-label="At most"
            placeholder="at most"
            className="w-figure"
            value={check.most}
            onChange={(most) => put({ ...check, most: most ?? undefined })}
          />
          <Input
            aria-label="Unit"
            placeholder="unit"
            className="w-digits"
            maxLength={20}
            value={check.unit ?? ''}
            onChange={(e) => put({ ...check, unit: e.target.value || undefined }, `check unit ${check.id}`)}
          />
        </>
      )}
      <span className="soft">{so}</span>
      <Button
        size="small"
        type="text"
        aria-label="Take the check away"
        onClick={() => change({ ...body, checks: body.checks?.filter((c) => c.id !== check.id) })}
      >
        ✕
      </Button>
    </div>
  );
}
