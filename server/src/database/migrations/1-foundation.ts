import type { MigrationInterface, QueryRunner } from 'typeorm';

/** Setting that names the workshop of the running transaction. */
const HERE = `NULLIF(current_setting('compas.workshop_id', true), '')::uuid`;

const OWN_TABLES = [
  'kits',
  'patterns',
  'pattern_revisions',
  'orders',
  'order_lines',
  'batches',
  'plan_versions',
  'pieces',
  'events',
  'readings',
  'set_aside',
];

export class Foundation1772000000001 implements MigrationInterface {
  async up(db: QueryRunner): Promise<void> {
    await db.query(TABLES);
    await db.query(ACCESS_FUNCTIONS);
    await this.separateWorkshops(db);
    await this.grant(db);
  }

  down(): Promise<void> {
    return Promise.reject(new Error('The first migration cannot be undone: drop the database instead.'));
  }

  private async separateWorkshops(db: QueryRunner): Promise<void> {
    await db.query(`ALTER TABLE workshops ENABLE ROW LEVEL SECURITY`);
    await db.query(`CREATE POLICY own ON workshops USING (id = ${HERE}) WITH CHECK (id = ${HERE})`);
    for (const table of OWN_TABLES) {
      await db.query(`ALTER TABLE ${table} ENABLE ROW LEVEL SECURITY`);
      await db.query(
        `CREATE POLICY own ON ${table} USING (workshop_id = ${HERE}) WITH CHECK (workshop_id = ${HERE})`,
      );
    }
  }

  private async grant(db: QueryRunner): Promise<void> {
    const [{ app }] = (await db.query(`SELECT current_setting('compas.app_role') AS app`)) as [
      { app: string },
    ];
    const role = `"${app.replaceAll('"', '')}"`;
    await db.query(`GRANT SELECT, UPDATE ON workshops TO ${role}`);
    await db.query(
      `GRANT SELECT, INSERT, UPDATE, DELETE ON kits, patterns, orders, order_lines, batches TO ${role}`,
    );
    await db.query(
      `GRANT SELECT, INSERT ON pattern_revisions, plan_versions, pieces, events, readings, set_aside TO ${role}`,
    );
    await db.query(`GRANT SELECT, INSERT, UPDATE, DELETE ON sessions TO ${role}`);
    await db.query(`GRANT SELECT ON migrations TO ${role}`);
    await db.query(`REVOKE EXECUTE ON ALL FUNCTIONS IN SCHEMA public FROM PUBLIC`);
    await db.query(`GRANT EXECUTE ON ALL FUNCTIONS IN SCHEMA public TO ${role}`);
  }
}

/** Keys include workshop_id: a plain foreign key or ON CONFLICT would see other workshops' rows. */
const TABLES = `
CREATE TABLE users (
  id uuid PRIMARY KEY,
  email text NOT NULL UNIQUE CHECK (email = lower(email)),
  name text NOT NULL,
  password_hash text NOT NULL,
  created_at timestamptz NOT NULL DEFAULT now()
);
CREATE TABLE sessions (sid varchar PRIMARY KEY, sess json NOT NULL, expire timestamp(6) NOT NULL);
CREATE INDEX sessions_expire ON sessions (expire);
CREATE TABLE workshops (
  id uuid PRIMARY KEY,
  name text NOT NULL,
  body jsonb NOT NULL,
  version integer NOT NULL DEFAULT 1,
  demo boolean NOT NULL DEFAULT false,
  created_at timestamptz NOT NULL DEFAULT now()
);
CREATE TABLE memberships (
  workshop_id uuid NOT NULL REFERENCES workshops ON DELETE CASCADE,
  user_id uuid NOT NULL REFERENCES users ON DELETE CASCADE,
  role text NOT NULL CHECK (role IN ('owner', 'maker')),
  PRIMARY KEY (workshop_id, user_id)
);
CREATE TABLE invites (
  token_hash text PRIMARY KEY,
  workshop_id uuid NOT NULL REFERENCES workshops ON DELETE CASCADE,
  role text NOT NULL CHECK (role IN ('owner', 'maker')),
  expires_at timestamptz NOT NULL,
  used_at timestamptz
);
CREATE TABLE kits (
  workshop_id uuid NOT NULL REFERENCES workshops ON DELETE CASCADE,
  id uuid NOT NULL,
  body jsonb NOT NULL,
  PRIMARY KEY (workshop_id, id)
);
CREATE TABLE patterns (
  workshop_id uuid NOT NULL REFERENCES workshops ON DELETE CASCADE,
  id uuid NOT NULL,
  name text NOT NULL,
  kind text NOT NULL,
  revision integer NOT NULL,
  created_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (workshop_id, id)
);
CREATE TABLE pattern_revisions (
  workshop_id uuid NOT NULL,
  pattern_id uuid NOT NULL,
  number integer NOT NULL,
  body jsonb NOT NULL,
  changes jsonb NOT NULL,
  made_by text NOT NULL,
  made_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (workshop_id, pattern_id, number),
  FOREIGN KEY (workshop_id, pattern_id) REFERENCES patterns (workshop_id, id) ON DELETE CASCADE
);
CREATE TABLE orders (
  workshop_id uuid NOT NULL REFERENCES workshops ON DELETE CASCADE,
  id uuid NOT NULL,
  customer text NOT NULL,
  due date,
  created_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (workshop_id, id)
);
CREATE TABLE order_lines (
  workshop_id uuid NOT NULL,
  order_id uuid NOT NULL,
  number integer NOT NULL,
  pattern_id uuid NOT NULL,
  revision integer NOT NULL,
  pieces integer NOT NULL CHECK (pieces > 0),
  PRIMARY KEY (workshop_id, order_id, number),
  FOREIGN KEY (workshop_id, order_id) REFERENCES orders (workshop_id, id) ON DELETE CASCADE,
  FOREIGN KEY (workshop_id, pattern_id, revision) REFERENCES pattern_revisions (workshop_id, pattern_id, number)
);
CREATE TABLE batches (
  workshop_id uuid NOT NULL,
  id uuid NOT NULL,
  order_id uuid NOT NULL,
  pattern_id uuid NOT NULL,
  revision integer NOT NULL,
  name text NOT NULL,
  pieces integer NOT NULL CHECK (pieces > 0),
  plan_version integer NOT NULL DEFAULT 1,
  put_away_at timestamptz,
  created_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (workshop_id, id),
  FOREIGN KEY (workshop_id, order_id) REFERENCES orders (workshop_id, id),
  FOREIGN KEY (workshop_id, pattern_id, revision) REFERENCES pattern_revisions (workshop_id, pattern_id, number)
);
CREATE TABLE plan_versions (
  workshop_id uuid NOT NULL,
  batch_id uuid NOT NULL,
  version integer NOT NULL,
  snapshot jsonb NOT NULL,
  made_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (workshop_id, batch_id, version),
  FOREIGN KEY (workshop_id, batch_id) REFERENCES batches (workshop_id, id) ON DELETE CASCADE
);
CREATE TABLE pieces (
  workshop_id uuid NOT NULL,
  batch_id uuid NOT NULL,
  number integer NOT NULL,
  PRIMARY KEY (workshop_id, batch_id, number),
  FOREIGN KEY (workshop_id, batch_id) REFERENCES batches (workshop_id, id) ON DELETE CASCADE
);
CREATE TABLE events (
  workshop_id uuid NOT NULL,
  id uuid NOT NULL,
  batch_id uuid NOT NULL,
  piece integer NOT NULL,
  at timestamptz NOT NULL,
  device text NOT NULL,
  sequence integer NOT NULL,
  plan_version integer NOT NULL,
  body jsonb NOT NULL,
  made_by uuid NOT NULL,
  received_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (workshop_id, id),
  FOREIGN KEY (workshop_id, batch_id, piece) REFERENCES pieces (workshop_id, batch_id, number) ON DELETE CASCADE
);
CREATE INDEX events_of_batch ON events (workshop_id, batch_id, at);
CREATE TABLE readings (
  workshop_id uuid NOT NULL,
  event_id uuid NOT NULL,
  batch_id uuid NOT NULL,
  piece integer NOT NULL,
  station_id text NOT NULL,
  mm double precision NOT NULL,
  typed text NOT NULL,
  PRIMARY KEY (workshop_id, event_id),
  FOREIGN KEY (workshop_id, event_id) REFERENCES events (workshop_id, id) ON DELETE CASCADE,
  FOREIGN KEY (workshop_id, batch_id, piece) REFERENCES pieces (workshop_id, batch_id, number) ON DELETE CASCADE
);
CREATE TABLE set_aside (
  workshop_id uuid NOT NULL,
  id uuid NOT NULL,
  batch_id uuid NOT NULL,
  raw jsonb NOT NULL,
  why text NOT NULL,
  received_at timestamptz NOT NULL DEFAULT now(),
  PRIMARY KEY (workshop_id, id),
  FOREIGN KEY (workshop_id, batch_id) REFERENCES batches (workshop_id, id) ON DELETE CASCADE
);`;

/** The application's role reaches users, memberships and invites only through these. */
const definer = (name: string, args: string, returns: string, body: string): string =>
  `CREATE FUNCTION ${name}(${args}) RETURNS ${returns} LANGUAGE sql SECURITY DEFINER SET search_path = public, pg_temp AS $$ ${body} $$;`;

const ACCESS_FUNCTIONS = [
  definer(
    'access_user',
    'wanted text',
    'TABLE (id uuid, name text, email text, password_hash text)',
    `SELECT id, name, email, password_hash FROM users WHERE email = lower(wanted)`,
  ),
  definer(
    'access_create_user',
    'new_id uuid, new_email text, new_name text, new_hash text',
    'SETOF uuid',
    `INSERT INTO users (id, email, name, password_hash) VALUES (new_id, lower(new_email), new_name, new_hash) ON CONFLICT (email) DO NOTHING RETURNING id`,
  ),
  definer(
    'access_workshops',
    'of_user uuid',
    'TABLE (id uuid, name text, role text)',
    `SELECT w.id, w.name, m.role FROM memberships m JOIN workshops w ON w.id = m.workshop_id WHERE m.user_id = of_user ORDER BY w.name`,
  ),
  definer(
    'access_role',
    'of_user uuid, in_workshop uuid',
    'text',
    `SELECT role FROM memberships WHERE user_id = of_user AND workshop_id = in_workshop`,
  ),
  definer(
    'access_create_workshop',
    'new_id uuid, new_name text, new_body jsonb, is_demo boolean, of_user uuid',
    'void',
    `INSERT INTO workshops (id, name, body, demo) VALUES (new_id, new_name, new_body, is_demo); INSERT INTO memberships VALUES (new_id, of_user, 'owner')`,
  ),
  definer(
    'access_members',
    '',
    'TABLE (id uuid, name text, email text, role text)',
    `SELECT u.id, u.name, u.email, m.role FROM memberships m JOIN users u ON u.id = m.user_id WHERE m.workshop_id = ${HERE} ORDER BY m.role DESC, u.name`,
  ),
  definer(
    'access_remove_member',
    'of_user uuid',
    'SETOF uuid',
    `DELETE FROM memberships m WHERE m.workshop_id = ${HERE} AND m.user_id = of_user AND (m.role <> 'owner' OR (SELECT count(*) FROM memberships o WHERE o.workshop_id = m.workshop_id AND o.role = 'owner') > 1) RETURNING m.user_id`,
  ),
  definer(
    'access_invite',
    'new_hash text, new_role text, until timestamptz',
    'void',
    `INSERT INTO invites (token_hash, workshop_id, role, expires_at) VALUES (new_hash, ${HERE}, new_role, until)`,
  ),
  definer(
    'access_invited',
    'by_hash text',
    'TABLE (workshop text, role text)',
    `SELECT w.name, i.role FROM invites i JOIN workshops w ON w.id = i.workshop_id WHERE i.token_hash = by_hash AND i.used_at IS NULL AND i.expires_at > now()`,
  ),
  definer(
    'access_accept',
    'by_hash text, of_user uuid',
    'SETOF uuid',
    `WITH taken AS (UPDATE invites SET used_at = now() WHERE token_hash = by_hash AND used_at IS NULL AND expires_at > now() RETURNING workshop_id, role), joined AS (INSERT INTO memberships SELECT workshop_id, of_user, role FROM taken ON CONFLICT DO NOTHING) SELECT workshop_id FROM taken`,
  ),
  definer(
    'access_demo_owner',
    '',
    'TABLE (id uuid, email text)',
    `SELECT u.id, u.email FROM workshops w JOIN memberships m ON m.workshop_id = w.id AND m.role = 'owner' JOIN users u ON u.id = m.user_id WHERE w.demo LIMIT 1`,
  ),
].join('\n');
