import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/accounts.module';
import { KeptGuidesController } from './keptGuides.controller';
import { KeptGuides } from './keptGuides.service';

@Module({
  imports: [AccountsModule],
  providers: [KeptGuides],
  controllers: [KeptGuidesController],
})
export class GuidesModule {}
