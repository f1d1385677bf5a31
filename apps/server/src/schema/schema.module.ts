import { Module } from '@nestjs/common';
import { SiteUpgrades } from './siteUpgrades.service';

@Module({ providers: [SiteUpgrades], exports: [SiteUpgrades] })
export class SchemaModule {}
