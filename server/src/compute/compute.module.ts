import { Global, Module } from '@nestjs/common';
import { Computing } from './computing.js';

@Global()
@Module({ providers: [Computing], exports: [Computing] })
export class ComputeModule {}
