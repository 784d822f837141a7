import { balanceOf, LEDGER_KINDS } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { Input } from 'antd';
import { useMemo, useState } from 'react';
import { ledgerQuery } from '../api/queries.js';
import { moneyWords } from '../ui/moneyWords.js';
import { Trouble } from '../ui/Trouble.js';
import { useShopHabits } from './useShopHabits.js';

/** Lines shown at once; the newest matter. */
const SHOWN = 200;

/** Every move of the stock, and whether it all adds up. */
export default function LedgerScreen() {
  const ledger = useQuery(ledgerQuery);
  const habits = useShopHabits();
  const [wanted, setWanted] = useState('');
  const balance = useMemo(() => (ledger.data ? balanceOf(ledger.data) : null), [ledger.data]);
  if (ledger.isError) return <Trouble error={ledger.error} />;
  if (!ledger.data || !balance || !habits) return null;
  const money = (minor: number) => moneyWords(minor, habits.currency);
  const kits = ledger.data.filter((l) => l.shelf === 'kit').reduce((sum, l) => sum + l.cost, 0);
  const right = balance.wrong.length === 0 && balance.openCuttings.length === 0;
  const lines = ledger.data.filter((l) =>
    `${l.label} ${l.note}`.toLowerCase().includes(wanted.toLowerCase()),
  );
  return (
    <div className="column">
      <h1>{right ? 'The ledger balances.' : 'The ledger does not balance.'}</h1>
      <p>
        Came in {money(balance.byKind.received)}
        {' − '}used {money(-balance.byKind.used)}
        {' − '}lost {money(-balance.byKind.lost)}
        {' + '}counted {money(balance.byKind.corrected)}
        {' + '}cutting {money(balance.byKind.cut)}
        {' = '}
        <b>{money(balance.worth)} on the shelf</b>, {money(kits)} of it hardware kits.
      </p>
      {!right && (
        <p role="alert" className="why">
          ■ {balance.wrong.length} items have less than nothing or a cost without a piece;{' '}
          {balance.openCuttings.length} cuttings lost some of their cost. Count them on the shelf.
        </p>
      )}
      <Input
        aria-label="Search the ledger"
        placeholder="search"
        value={wanted}
        onChange={(e) => setWanted(e.target.value)}
        style={{ maxWidth: 320 }}
      />
      {lines.length === 0 && <p>No line yet. It begins with the first stock that is taken in.</p>}
      <div className="scroll">
        <table className="table">
          <thead>
            <tr>
              <th>When</th>
              <th>What</th>
              <th>How</th>
              <th className="number">Amount</th>
              <th className="number">Cost</th>
              <th>Why</th>
            </tr>
          </thead>
          <tbody>
            {lines.slice(0, SHOWN).map((l) => (
              <tr key={l.id}>
                <td className="figures">{l.at.slice(0, 16).replace('T', ' ')}</td>
                <td>{l.label}</td>
                <td>{LEDGER_KINDS[l.kind]}</td>
                <td className="number figures">
                  {l.amount > 0 ? '+' : '−'}
                  {Number(Math.abs(l.amount).toFixed(3))}
                </td>
                <td className="number figures">{l.cost === 0 ? '' : money(l.cost)}</td>
                <td className="soft">{l.note}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {lines.length > SHOWN && (
        <p className="soft">
          The newest {SHOWN} of {lines.length} lines are shown; all of them are added up.
        </p>
      )}
    </div>
  );
}
