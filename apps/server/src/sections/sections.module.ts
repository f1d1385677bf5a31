import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccountsModule } from '../accounts/accounts.module';
import { KeptSection } from '../database/entities';
import { KeptSectionsController } from './keptSections.controller';
import { KeptSections } from './keptSections.service';

@Module({
  imports: [TypeOrmModule.forFeature([KeptSection]), AccountsModule],
  providers: [KeptSections],
  controllers: [KeptSectionsController],
})
export class SectionsModule {}
