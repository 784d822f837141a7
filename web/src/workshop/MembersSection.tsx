import { useQuery } from '@tanstack/react-query';
import { Button, Input, Select, Typography } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import {
  createWorkshop,
  inviteMember,
  membersQuery,
  removeMember,
  sessionQuery,
  type Member,
} from '../api/session.js';
import { useChange } from '../api/useChange.js';
import { workshopQuery } from '../api/workshop.js';
import { Trouble } from '../ui/Trouble.js';
import { OpenInvites } from './OpenInvites.js';
import { OwnSignIn } from './OwnSignIn.js';

const ROLE_WORDS: Record<Member['role'], string> = {
  owner: 'owner, may change the workshop',
  maker: 'maker, plans and turns',
};

/** Who works here; a link shown once lets another person in. */
export function MembersSection() {
  const members = useQuery(membersQuery);
  const session = useQuery(sessionQuery);
  const [role, setRole] = useState<Member['role']>('maker');
  const owns = session.data?.workshops.find((w) => w.id === session.data?.workshopId)?.role === 'owner';
  const invite = useChange(inviteMember, 'invites');
  const remove = useChange(removeMember, 'members');
  return (
    <section className="equipment column">
      <h2>Members</h2>
      <table className="table">
        <tbody>
          {members.data?.map((member) => (
            <tr key={member.id}>
              <td>{member.name}</td>
              <td className="soft">{member.email}</td>
              <td>{ROLE_WORDS[member.role]}</td>
              <td>
                {member.id !== session.data?.userId && (
                  <Button
                    type="text"
                    aria-label={`Take ${member.name} out`}
                    onClick={() => remove.mutate(member.id)}
                  >
                    ✕
                  </Button>
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="row">
        <Select
          aria-label="Invite as"
          value={role}
          className="w-line"
          onChange={setRole}
          options={(Object.keys(ROLE_WORDS) as Member['role'][]).map((r) => ({
            value: r,
            label: ROLE_WORDS[r],
          }))}
        />
        <Button onClick={() => invite.mutate(role)} loading={invite.isPending}>
          Make a link
        </Button>
      </div>
      <Trouble error={invite.error ?? remove.error} />
      {invite.data && (
        <p className="sheet">
          Give this link to one person. It works once, for seven days, and is not shown again:
          <br />
          <Typography.Text copyable code>
            {`${location.origin}/join/${invite.data.token}`}
          </Typography.Text>
        </p>
      )}
      {owns && <OpenInvites />}
      <OwnSignIn />
      <AnotherWorkshop />
    </section>
  );
}

/** A further workshop of the same person, with the same habits of reading lengths. */
function AnotherWorkshop() {
  const workshop = useQuery(workshopQuery);
  const [name, setName] = useState('');
  const navigate = useNavigate();
  const create = useChange(createWorkshop, 'session', 'workshop', 'patterns', 'batches', 'kits', 'members');
  const begin = () =>
    workshop.data &&
    create.mutate(
      { workshop: name.trim(), timeZone: workshop.data.body.hours.timeZone, units: workshop.data.body.units },
      { onSuccess: () => void navigate('/workshop') },
    );
  return (
    <>
      <h2>Another workshop</h2>
      <div className="row">
        <Input
          aria-label="Name of the new workshop"
          placeholder="Name"
          value={name}
          maxLength={80}
          className="w-line"
          onChange={(e) => setName(e.target.value)}
        />
        <Button onClick={begin} disabled={name.trim() === ''} loading={create.isPending}>
          Begin it
        </Button>
      </div>
      <Trouble error={create.error} />
    </>
  );
}
