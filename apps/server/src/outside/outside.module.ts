import { Module } from '@nestjs/common';
import { OutsideController } from './outside.controller';
import { SimulatedWeb } from './simulatedWeb';

@Module({ providers: [SimulatedWeb], controllers: [OutsideController] })
export class OutsideModule {}
