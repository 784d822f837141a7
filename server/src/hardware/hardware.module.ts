import { Module } from '@nestjs/common';
import { HardwareController } from './hardware.controller.js';
import { KitService } from './kit.service.js';

@Module({ controllers: [HardwareController], providers: [KitService], exports: [KitService] })
export class HardwareModule {}
