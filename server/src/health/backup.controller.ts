import { Controller, Get } from '@nestjs/common';
import { ApiOkResponse, ApiProperty, ApiTags } from '@nestjs/swagger';
import { InWorkshop, OwnerOnly } from '../access/inWorkshop.js';
import { WorkshopTransaction } from '../database/workshopTransaction.js';

class LastBackupView {
  @ApiProperty({ type: String, nullable: true, description: 'null while none was made' })
  madeAt: string | null;
}

@ApiTags('health')
@Controller('health/backup')
@InWorkshop()
export class BackupController {
  constructor(private readonly transaction: WorkshopTransaction) {}

  /** When everything that is kept here was last copied, all workshops together. */
  @Get()
  @OwnerOnly()
  @ApiOkResponse({ type: LastBackupView })
  async last(): Promise<LastBackupView> {
    const [row] = await this.transaction.manager.query<{ at: Date | null }[]>(
      'SELECT max(made_at) AS at FROM backups',
    );
    return { madeAt: row?.at?.toISOString() ?? null };
  }
}
