import { useQuery } from '@tanstack/react-query';
import dayjs from 'dayjs';
import { lastBackupQuery, sessionQuery } from '../api/session.js';
import { Trouble } from '../ui/Trouble.js';
import { AsideRecords } from './AsideRecords.js';

/** After so many days a backup is old, for somebody who works every day. */
const OLD = 7;

/** How old the last copy of everything is: what is lost if the machine is. */
export function BackupSection() {
  const session = useQuery(sessionQuery);
  const here = session.data?.workshops.find((w) => w.id === session.data?.workshopId);
  return (
    <section className="equipment column">
      <h2>Backup</h2>
      {here?.role === 'owner' ? (
        <LastBackup />
      ) : (
        <p className="soft">How old the last one is, only its owners see.</p>
      )}
      <p>
        On the machine that Compas runs on, also while it runs: <code>npm run backup</code>. It writes one
        file with everything but sign-ins and open invitations; keep a copy of it on another machine. With
        Compas stopped, <code>npm run restore -- file</code> puts it back.
      </p>
      {here?.role === 'owner' && <AsideRecords />}
    </section>
  );
}

function LastBackup() {
  const { data, error } = useQuery(lastBackupQuery);
  if (error) return <Trouble error={error} />;
  if (!data) return null;
  if (data.madeAt === null)
    return (
      <p>
        <span aria-hidden>▲</span> No backup was made yet: if this machine is lost, all that is recorded is.
      </p>
    );
  const days = dayjs().diff(dayjs(data.madeAt), 'day');
  return (
    <p>
      {days >= OLD && <span aria-hidden>▲ </span>}
      The last backup was made on <b>{dayjs(data.madeAt).format('ddd D MMM YYYY, HH:mm')}</b>
      {days >= OLD ? `, ${days} days ago: what came since is nowhere else.` : '.'}
    </p>
  );
}
