import { Module } from '@nestjs/common';
import { PicturesModule } from '../pictures/pictures.module';
import { SitesModule } from '../sites/sites.module';
import { NewSitesController } from './newSites.controller';
import { NewSites } from './newSites.service';

@Module({
  imports: [SitesModule, PicturesModule],
  providers: [NewSites],
  controllers: [NewSitesController],
  exports: [NewSites],
})
export class NewSitesModule {}
