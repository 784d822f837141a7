import { Global, Module, type DynamicModule } from '@nestjs/common';
import type { Settings } from './settings.js';
import { SETTINGS } from './settings.token.js';

@Global()
@Module({})
export class SettingsModule {
  static with(settings: Settings): DynamicModule {
    return {
      module: SettingsModule,
      providers: [{ provide: SETTINGS, useValue: settings }],
      exports: [SETTINGS],
    };
  }
}
