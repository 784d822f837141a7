import { Module } from '@nestjs/common';
import { PatternController } from './pattern.controller.js';
import { PatternService } from './pattern.service.js';

@Module({ controllers: [PatternController], providers: [PatternService], exports: [PatternService] })
export class PatternModule {}
