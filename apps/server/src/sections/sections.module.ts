import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/accounts.module';
import { KeptSectionsController } from './keptSections.controller';
import { KeptSections } from './keptSections.service';

@Module({
  imports: [AccountsModule],
  providers: [KeptSections],
  controllers: [KeptSectionsController],
})
export class SectionsModule {}
