import { Module } from '@nestjs/common';
import { NewSitesModule } from '../newSites/newSites.module';
import { SiteListController } from './siteList.controller';
import { SiteListService } from './siteList.service';

@Module({ imports: [NewSitesModule], providers: [SiteListService], controllers: [SiteListController] })
export class SiteListModule {}
