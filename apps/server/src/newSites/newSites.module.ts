import { Module } from '@nestjs/common';
import { NewSitesController } from './newSites.controller';
import { NewSites } from './newSites.service';

@Module({
  providers: [NewSites],
  controllers: [NewSitesController],
  exports: [NewSites],
})
export class NewSitesModule {}
