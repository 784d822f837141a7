import type { ServerResponse } from 'node:http';
import { Module, type DynamicModule } from '@nestjs/common';
import { ServeStaticModule } from '@nestjs/serve-static';
import { ThrottlerModule } from '@nestjs/throttler';
import { AccessModule } from './access/access.module.js';
import { ComputeModule } from './compute/compute.module.js';
import { BatchModule } from './batch/batch.module.js';
import { DatabaseModule } from './database/database.module.js';
import type { Settings } from './database/settings.js';
import { SettingsModule } from './database/settings.module.js';
import { DryingModule } from './drying/drying.module.js';
import { FilesModule } from './files/files.module.js';
import { HardwareModule } from './hardware/hardware.module.js';
import { BackupController } from './health/backup.controller.js';
import { HealthController } from './health/health.controller.js';
import { OrderModule } from './order/order.module.js';
import { PatternModule } from './pattern/pattern.module.js';
import { StockModule } from './stock/stock.module.js';
import { WorkshopModule } from './workshop/workshop.module.js';

@Module({})
export class AppModule {
  static with(settings: Settings): DynamicModule {
    return {
      module: AppModule,
      imports: [
        SettingsModule.with(settings),
        DatabaseModule.with(settings),
        ThrottlerModule.forRoot([{ limit: 300, ttl: 60_000 }]),
        ...(settings.webFolder === null ? [] : [web(settings.webFolder)]),
        ComputeModule,
        AccessModule,
        WorkshopModule,
        PatternModule,
        HardwareModule,
        StockModule,
        DryingModule,
        BatchModule,
        OrderModule,
        FilesModule,
      ],
      controllers: [HealthController, BackupController],
    };
  }
}

/** Files with a hash in their name may be kept for good; the page itself is always asked for. */
const web = (folder: string) =>
  ServeStaticModule.forRoot({
    rootPath: folder,
    exclude: ['/api/{*any}'],
    serveStaticOptions: {
      setHeaders: (response: ServerResponse, path: string) =>
        void response.setHeader(
          'cache-control',
          /[\\/]assets[\\/]/.test(path) ? 'public, max-age=31536000, immutable' : 'no-cache',
        ),
    },
  });
