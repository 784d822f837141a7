import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { useNavigate } from 'react-router';
import { dropDraft } from '../api/drafts.js';
import { changeOrder, createOrder, ordersQuery, type Order } from '../api/orders.js';
import { useChange } from '../api/useChange.js';
import { FOR, LINES, ORDER } from '../ui/planAddress.js';
import { Trouble } from '../ui/Trouble.js';
import { STOCK } from './ForWhom.js';
import type { KeptChoices } from './useKeptChoices.js';
import { useOncePlanned } from './useOncePlanned.js';

interface LayAsideProps {
  patternId: string;
  search: URLSearchParams;
  pieces: number;
  due: string | null;
  /** these are what is chosen; false while its plan is on its way */
  planned: boolean;
  /** what was kept of it goes into the order */
  kept: KeptChoices;
}

/** Keeps a plan that is not ready as a line of an order, with all that was chosen; it waits on the Bench. */
export function LayAside({ patternId, search, pieces, due, planned, kept }: LayAsideProps) {
  const navigate = useNavigate();
  const orders = useQuery({ ...ordersQuery, throwOnError: false }).data ?? [];
  const into = orders.find((o) => o.id === search.get(ORDER)) ?? null;
  const put = useChange(putAside, 'orders', 'drafts');
  const { press, waits } = useOncePlanned(planned, () => {
    kept.hold();
    put.mutate(
      {
        into,
        customer: search.get(FOR)?.trim() || STOCK,
        due,
        line: { patternId, pieces, choices: search.toString() },
        isDraft: kept.isOwn(),
      },
      {
        onSuccess: () => {
          kept.settle();
          void navigate('/');
        },
        onError: kept.release,
      },
    );
  });
  // what is planned for a line is kept with it as it is chosen
  if (search.has(LINES)) return null;
  return (
    <>
      <Button
        size="large"
        loading={put.isPending || waits}
        // an order that is not known yet is not taken for none
        disabled={search.has(ORDER) && into === null}
        onClick={press}
      >
        Lay it aside
      </Button>
      <Trouble error={put.error} />
    </>
  );
}

interface Aside {
  /** the order that it is one more line of */
  into: Order | null;
  customer: string;
  due: string | null;
  line: { patternId: string; pieces: number; choices: string };
  /** it is the draft of its pattern */
  isDraft: boolean;
}

/** Writes a line down with what was chosen for it: in an order that is open, or in one of its own. */
async function putAside(aside: Aside): Promise<Order> {
  const order = await asLine(aside);
  // it waits with the order from now on; should that not be told, it only waits twice
  if (aside.isDraft) await dropDraft(aside.line.patternId).catch(() => undefined);
  return order;
}

function asLine({ into, customer, due, line }: Aside): Promise<Order> {
  if (into === null) return createOrder({ customer, due, lines: [line] });
  const before = into.lines.map(({ number, patternId, pieces }) => ({ number, patternId, pieces }));
  return changeOrder({
    id: into.id,
    customer: into.customer,
    due: into.due,
    basedOn: into.version,
    lines: [...before, line],
  });
}
