import { Module } from '@nestjs/common';
import { SitesHost } from './sitesHost.service';

@Module({ providers: [SitesHost] })
export class SitesHostModule {}
