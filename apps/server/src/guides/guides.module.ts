import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/accounts.module';
import { SitesModule } from '../sites/sites.module';
import { KeptGuidesController } from './keptGuides.controller';
import { KeptGuides } from './keptGuides.service';

@Module({
  imports: [SitesModule, AccountsModule],
  providers: [KeptGuides],
  controllers: [KeptGuidesController],
})
export class GuidesModule {}
