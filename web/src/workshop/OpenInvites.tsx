import { useQuery } from '@tanstack/react-query';
import { Button } from 'antd';
import { invitesQuery, withdrawInvite } from '../api/session.js';
import { useChange } from '../api/useChange.js';
import { clockHere } from '../ui/clock.js';
import { Trouble } from '../ui/Trouble.js';

/** Links that nobody has used yet: whoever finds one comes in, so they can be withdrawn. */
export function OpenInvites() {
  const { data = [] } = useQuery(invitesQuery);
  const withdraw = useChange(withdrawInvite, 'invites');
  if (data.length === 0) return null;
  return (
    <>
      <h3>Links that are still open</h3>
      <table className="table">
        <tbody>
          {data.map(({ id, role, expiresAt }) => (
            <tr key={id}>
              <td>for {role === 'owner' ? 'an owner' : 'a maker'}</td>
              <td className="soft">until {clockHere(Date.parse(expiresAt))}</td>
              <td>
                <Button size="small" onClick={() => withdraw.mutate(id)} loading={withdraw.isPending}>
                  Withdraw it
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <Trouble error={withdraw.error} />
    </>
  );
}
