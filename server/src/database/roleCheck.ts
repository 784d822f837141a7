import { Injectable, type OnModuleInit } from '@nestjs/common';
import { DataSource } from 'typeorm';

/** Refuses to serve with a database role that row-level security would not hold. */
@Injectable()
export class RoleCheck implements OnModuleInit {
  constructor(private readonly source: DataSource) {}

  async onModuleInit(): Promise<void> {
    const [role] = await this.source.query<
      { rolname: string; rolsuper: boolean; rolbypassrls: boolean; owns: boolean }[]
    >(
      `SELECT rolname, rolsuper, rolbypassrls, EXISTS (SELECT 1 FROM pg_class c WHERE c.relowner = r.oid AND c.relkind = 'r') AS owns
       FROM pg_roles r WHERE rolname = current_user`,
    );
    if (!role || role.rolsuper || role.rolbypassrls || role.owns)
      throw new Error(
        `The database role ${role?.rolname ?? '?'} is a superuser, bypasses row security or owns tables. ` +
          'Give the server a role that does none of these.',
      );
  }
}
