import { wantsReason, type Decision, type WayScope } from '@compas/core';
import { Button, Input, Select } from 'antd';
import { useState, type ReactNode } from 'react';
import { useNoted } from '../../ui/noted.js';
import { Trouble } from '../../ui/Trouble.js';
import { EVERY_SCOPE, isWide, scopeWords, useDeciding } from './deciding.js';

interface OtherwiseProps {
  /** what is decided, for the button and for whoever hears it */
  label: string;
  /** what the controls say now, for a scope; null while something is missing */
  wanted: (scope: WayScope) => Decision | null;
  scopes?: readonly WayScope[];
  /** what a wide decision is about, in words */
  carries?: string;
  children: ReactNode;
  /** it was decided or left: the controls begin anew */
  onClose?: () => void;
}

/** Something can be decided otherwise here: the controls, how far it reaches, and why. Nothing where a plan is only shown. */
export function Otherwise(props: OtherwiseProps) {
  const [open, setOpen] = useState(false);
  const { label, onClose } = props;
  const turn = (wanted: boolean) => {
    setOpen(wanted);
    if (!wanted) onClose?.();
  };
  if (!useDeciding()) return null;
  return (
    <div className="otherwise">
      <button type="button" className="more" aria-expanded={open} onClick={() => turn(!open)}>
        {open ? `Leave it: ${label}` : label}
      </button>
      {open && <DecideForm {...props} onDone={() => turn(false)} />}
    </div>
  );
}

/** The controls of a decision with how far it reaches, and why. */
export function DecideForm({
  label,
  wanted,
  scopes = EVERY_SCOPE,
  carries,
  children,
  onDone,
}: OtherwiseProps & { onDone: () => void }) {
  const deciding = useDeciding();
  const [scope, setScope] = useState<WayScope>(scopes[0] ?? 'order');
  const noted = useNoted();
  const [why, setWhy] = useState(noted ? `${noted.where}: ${noted.words}` : '');
  if (!deciding) return null;
  const decides = wanted(scope);
  const silent = decides !== null && wantsReason(decides) && why.trim() === '';
  const possible = scopes.filter((s) => deciding.scopes.includes(s));
  if (possible.length === 0) return null;
  return (
    <form
      className="decide"
      aria-label={label}
      onSubmit={(e) => {
        e.preventDefault();
        if (decides === null || silent) return;
        deciding.decide({ decides, scope, why: why.trim() });
        onDone();
      }}
    >
      <div className="decide-what">{children}</div>
      {possible.length > 1 && (
        <label>
          Holds for
          <Select<WayScope>
            aria-label={`Holds for: ${label}`}
            value={scope}
            onChange={setScope}
            className="w-phrase"
            options={possible.map((s) => ({ value: s, label: scopeWords(s, deciding.material) }))}
          />
        </label>
      )}
      <label>
        Why
        <Input
          aria-label={`Why: ${label}`}
          value={why}
          maxLength={300}
          className="w-line"
          placeholder={silent ? 'say why: somebody will ask' : undefined}
          onChange={(e) => setWhy(e.target.value)}
        />
      </label>
      <Button
        htmlType="submit"
        type="primary"
        disabled={decides === null || silent}
        loading={deciding.pending}
      >
        Do it so
      </Button>
      {carries !== undefined && isWide(scope) && <p className="soft">It will hold for {carries}.</p>}
      <Trouble error={deciding.error} />
    </form>
  );
}
