import { Module } from '@nestjs/common';
import { NewSitesModule } from '../newSites/newSites.module';
import { WholeSiteController } from './wholeSite.controller';
import { WholeSites } from './wholeSites.service';

@Module({ imports: [NewSitesModule], providers: [WholeSites], controllers: [WholeSiteController] })
export class WholeSiteModule {}
