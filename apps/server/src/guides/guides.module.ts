import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccountsModule } from '../accounts/accounts.module';
import { KeptGuide } from '../database/entities';
import { KeptGuidesController } from './keptGuides.controller';
import { KeptGuides } from './keptGuides.service';

@Module({
  imports: [TypeOrmModule.forFeature([KeptGuide]), AccountsModule],
  providers: [KeptGuides],
  controllers: [KeptGuidesController],
})
export class GuidesModule {}
