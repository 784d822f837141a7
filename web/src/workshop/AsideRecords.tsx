import { useQuery } from '@tanstack/react-query';
import { Button, Popconfirm } from 'antd';
import { Link } from 'react-router';
import { asideQuery, giveUpRecord } from '../api/session.js';
import { useChange } from '../api/useChange.js';
import { clockHere } from '../ui/clock.js';
import { download } from '../ui/download.js';
import { Trouble } from '../ui/Trouble.js';

/** Records that came and are not counted: they can be taken out as they came, and given up. A newer Compas may read them. */
export function AsideRecords() {
  const { data = [], error } = useQuery(asideQuery);
  const giveUp = useChange(giveUpRecord, 'set-aside', 'batches');
  if (error) return <Trouble error={error} />;
  if (data.length === 0) return null;
  return (
    <>
      <h3>Records that were put aside</h3>
      <p>
        They came from a tablet and are not counted. What could not be read is tried again by itself when
        Compas is newer.
      </p>
      <table className="table">
        <thead>
          <tr>
            <th>Batch</th>
            <th>Came</th>
            <th>Why it is not counted</th>
            <th />
          </tr>
        </thead>
        <tbody>
          {data.map(({ id, batchId, batch, receivedAt, why }) => (
            <tr key={id}>
              <td>
                <Link to={`/batches/${batchId}/time`}>{batch}</Link>
              </td>
              <td className="soft">{clockHere(Date.parse(receivedAt))}</td>
              <td>{why}</td>
              <td>
                <Popconfirm
                  title="Give this record up?"
                  description="It is gone for good. Take it out first if it may matter."
                  okText="Give it up"
                  cancelText="Keep it"
                  onConfirm={() => giveUp.mutate(id)}
                >
                  <Button size="small">Give it up</Button>
                </Popconfirm>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Trouble error={giveUp.error} />
      <div>
        <Button
          onClick={() =>
            download('records put aside.json', 'application/json', JSON.stringify(data, null, 2))
          }
        >
          Take them out as a file
        </Button>
      </div>
    </>
  );
}
