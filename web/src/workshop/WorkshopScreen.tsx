import { checkWorkshop, type Workshop } from '@compas/core';
import { useQuery } from '@tanstack/react-query';
import { App, Button, Input } from 'antd';
import { useState, type ReactNode } from 'react';
import { NavLink, useParams } from 'react-router';
import { sessionQuery } from '../api/session.js';
import { workshopQuery, type WorkshopDetail } from '../api/workshop.js';
import { Trouble } from '../ui/Trouble.js';
import {
  abrasiveKind,
  centreKind,
  chuckKind,
  finishKind,
  fixtureKind,
  glueKind,
  jawsKind,
  mandrelKind,
  toolKind,
} from './columns.js';
import { BackupSection } from './BackupSection.js';
import { BitsSection } from './BitsSection.js';
import { EquipmentTable } from './EquipmentTable.js';
import { GaugesSection } from './GaugesSection.js';
import { HabitsSection, HoursSection } from './HabitsSection.js';
import { KitsSection } from './KitsSection.js';
import { LatheSection } from './LatheSection.js';
import { MembersSection } from './MembersSection.js';
import { MINIMUM } from './minimum.js';
import { OpenPlans } from './OpenPlans.js';
import { SawingSection } from './SawingSection.js';
import './workshop.css';
import { KeptHere } from '../saving/KeptHere.js';
import { dropDraft } from '../saving/drafts.js';
import { unsaved, useDraft } from '../saving/useDraft.js';
import { editedWorkshop, useWorkshopSave, type EditedWorkshop } from './useWorkshopSave.js';

interface SectionProps {
  workshop: Workshop;
  onChange: (workshop: Workshop) => void;
}

/** What the workshop owns; planning chooses from it. */
export default function WorkshopScreen() {
  const workshop = useQuery(workshopQuery);
  if (!workshop.data) return null;
  return <Editing key={workshop.data.id} there={workshop.data} />;
}

const SECTIONS: { path: string; word: string; body: (props: SectionProps) => ReactNode }[] = [
  { path: 'lathe', word: 'Lathe', body: (p) => <LatheSection {...p} /> },
  { path: 'holding', word: 'Holding', body: (p) => <Holding {...p} /> },
  {
    path: 'bits',
    word: 'Bits',
    body: (p) => <BitsSection {...p} />,
  },
  {
    path: 'gauges',
    word: 'Gauges',
    body: (p) => <GaugesSection {...p} />,
  },
  {
    path: 'tools',
    word: 'Tools',
    body: ({ workshop, onChange }) => (
      <EquipmentTable
        kind={toolKind}
        items={workshop.tools}
        onChange={(tools) => onChange({ ...workshop, tools })}
      />
    ),
  },
  { path: 'surface', word: 'Abrasive, finish, glue', body: (p) => <Surface {...p} /> },
  { path: 'kits', word: 'Hardware kits', body: ({ workshop }) => <KitsSection workshop={workshop} /> },
  { path: 'saws', word: 'Saws and stock', body: (p) => <SawingSection {...p} /> },
  { path: 'hours', word: 'Hours', body: (p) => <HoursSection {...p} /> },
  { path: 'habits', word: 'Habits', body: (p) => <HabitsSection {...p} /> },
  { path: 'members', word: 'Members', body: () => <MembersSection /> },
  { path: 'backup', word: 'Backup', body: () => <BackupSection /> },
];

function Editing({ there }: { there: WorkshopDetail }) {
  const thing = `workshop/${there.id}`;
  const [before, setBefore] = useState(() => unsaved<EditedWorkshop>(thing));
  const [mine, setMine] = useState<EditedWorkshop>(before?.value ?? editedWorkshop(there).value);
  const { base, changed, saved, room } = useDraft(thing, editedWorkshop(there), mine);
  const { name, body: workshop } = mine;
  const setWorkshop = (body: Workshop) => setMine({ name, body });
  const session = useQuery(sessionQuery);
  const { message } = App.useApp();
  const { section } = useParams();
  const here = SECTIONS.find((s) => s.path === section) ?? SECTIONS[0];
  const problems = checkWorkshop(workshop);
  const take = (now: WorkshopDetail) => {
    const edited = editedWorkshop(now);
    setMine(edited.value);
    saved(edited);
    setBefore(null);
  };
  const save = useWorkshopSave((now) => {
    take(now);
    dropDraft(thing);
  });
  // somebody else saved while nothing was typed here
  if (!changed && there.version > base.version) take(there);
  const keep = () =>
    save.mutate(
      { base, mine },
      {
        onSuccess: (done) => {
          if (done === 'duplicate') return;
          void message.success(
            done.withChangesOf === null
              ? 'Saved.'
              : `Saved, together with what ${done.withChangesOf} changed.`,
          );
        },
      },
    );
  const owner = session.data?.workshops.find((w) => w.id === there.id)?.role === 'owner';
  return (
    <div className="column">
      <div className="row spread">
        <Input
          variant="borderless"
          aria-label="Name of the workshop"
          value={name}
          maxLength={80}
          disabled={!owner}
          className="title-input"
          onChange={(e) => setMine({ ...mine, name: e.target.value })}
        />
        {owner ? (
          <span className="row">
            {changed && <Button onClick={() => take(there)}>Take changes back</Button>}
            <Button
              type="primary"
              disabled={!changed || problems.length > 0}
              loading={save.isPending}
              onClick={keep}
            >
              Save the workshop
            </Button>
          </span>
        ) : (
          <span className="soft">Only an owner can change the workshop.</span>
        )}
      </div>
      <KeptHere at={changed ? (before?.at ?? null) : null} room={room} onTakeBack={() => take(there)} />
      <Trouble error={save.error} />
      {save.dialog}
      {problems.map((p) => (
        <p key={p.field + p.why} role="alert" className="why">
          ■ {p.why}
        </p>
      ))}
      <Minimum workshop={workshop} onChange={setWorkshop} />
      <div className="shop">
        <nav className="shop-nav" aria-label="Parts of the workshop">
          {SECTIONS.map((s) => (
            <NavLink
              key={s.path}
              to={`/workshop/${s.path}`}
              aria-current={s === here ? 'page' : undefined}
              className={s === here ? 'active' : ''}
            >
              {s.word}
            </NavLink>
          ))}
        </nav>
        <div>{here?.body({ workshop, onChange: setWorkshop })}</div>
        <aside>
          <OpenPlans workshop={workshop} />
        </aside>
      </div>
    </div>
  );
}

/** What a new workshop still lacks, each with the usual thing to begin with. */
function Minimum({ workshop, onChange }: SectionProps) {
  const lacking = MINIMUM.filter((need) => !need.met(workshop));
  if (lacking.length === 0) return null;
  return (
    <section className="sheet minimum">
      <h2>To plan a first batch the workshop still needs</h2>
      <ul>
        {lacking.map((need) => (
          <li key={need.id} className="row spread">
            {need.words}
            <Button onClick={() => onChange(need.usual(workshop))}>Add the usual</Button>
          </li>
        ))}
      </ul>
      <Button type="primary" onClick={() => onChange(lacking.reduce((w, need) => need.usual(w), workshop))}>
        Add all of it
      </Button>
    </section>
  );
}

function Holding({ workshop, onChange }: SectionProps) {
  const setChucks = (chucks: Workshop['chucks']) => onChange({ ...workshop, chucks });
  return (
    <>
      <EquipmentTable
        kind={centreKind}
        items={workshop.centres}
        onChange={(centres) => onChange({ ...workshop, centres })}
      />
      <EquipmentTable
        kind={mandrelKind}
        items={workshop.mandrels}
        onChange={(mandrels) => onChange({ ...workshop, mandrels })}
      />
      <EquipmentTable
        kind={fixtureKind}
        items={workshop.fixtures ?? []}
        onChange={(fixtures) => onChange({ ...workshop, fixtures })}
      />
      <EquipmentTable kind={chuckKind} items={workshop.chucks} onChange={setChucks} />
      {workshop.chucks.map((chuck) => (
        <EquipmentTable
          key={chuck.id}
          kind={{ ...jawsKind, title: `Jaws of ${chuck.name}` }}
          items={chuck.jaws}
          onChange={(jaws) => setChucks(workshop.chucks.map((c) => (c.id === chuck.id ? { ...c, jaws } : c)))}
        />
      ))}
    </>
  );
}

function Surface({ workshop, onChange }: SectionProps) {
  return (
    <>
      <EquipmentTable
        kind={abrasiveKind}
        items={workshop.abrasives}
        onChange={(abrasives) => onChange({ ...workshop, abrasives })}
      />
      <EquipmentTable
        kind={finishKind}
        items={workshop.finishes}
        onChange={(finishes) => onChange({ ...workshop, finishes })}
      />
      <EquipmentTable
        kind={glueKind}
        items={workshop.glues}
        onChange={(glues) => onChange({ ...workshop, glues })}
      />
    </>
  );
}
