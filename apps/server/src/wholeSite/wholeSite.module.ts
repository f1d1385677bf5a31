import { Module } from '@nestjs/common';
import { WholeSiteController } from './wholeSite.controller';

@Module({ controllers: [WholeSiteController] })
export class WholeSiteModule {}
