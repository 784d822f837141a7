import { LEDGER_KINDS } from '@compas/core';
import { keepPreviousData, useInfiniteQuery, useQuery } from '@tanstack/react-query';
import { Button, Input } from 'antd';
import { useDeferredValue, useState } from 'react';
import { balanceQuery, ledgerPagesQuery } from '../api/stock.js';
import { moneyWords } from '../ui/moneyWords.js';
import { useShopHabits } from './useShopHabits.js';

/** Every move of the stock, and whether it all adds up. */
export default function LedgerScreen() {
  const [wanted, setWanted] = useState('');
  const pages = useInfiniteQuery({
    ...ledgerPagesQuery(useDeferredValue(wanted.trim())),
    placeholderData: keepPreviousData,
  });
  const sums = useQuery(balanceQuery);
  const habits = useShopHabits();
  if (!pages.data || !sums.data || !habits) return null;
  const balance = sums.data;
  const money = (minor: number) => moneyWords(minor, habits.currency);
  const right = balance.wrong.length === 0 && balance.openCuttings.length === 0;
  const lines = pages.data.pages.flatMap((p) => p.lines);
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
        <b>{money(balance.worth)} on the shelf</b>, {money(balance.kits)} of it hardware kits.
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
        className="search"
        onChange={(e) => setWanted(e.target.value)}
      />
      {lines.length === 0 && wanted !== '' && <p>No line has these words.</p>}
      {lines.length === 0 && wanted === '' && (
        <p>No line yet. It begins with the first stock that is taken in.</p>
      )}
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
            {lines.map((l) => (
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
      {pages.hasNextPage && (
        <Button loading={pages.isFetchingNextPage} onClick={() => void pages.fetchNextPage()}>
          Older lines
        </Button>
      )}
    </div>
  );
}
