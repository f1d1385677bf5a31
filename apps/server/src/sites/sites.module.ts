import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Presence, SiteEntity } from '../database/entities';
import { AcceptService } from './accept.service';
import { EventsService } from './events.service';
import { PresenceService } from './presence.service';
import { SitesController } from './sites.controller';
import { SitesService } from './sites.service';

@Module({
  imports: [TypeOrmModule.forFeature([Presence, SiteEntity])],
  providers: [AcceptService, EventsService, PresenceService, SitesService],
  controllers: [SitesController],
})
export class SitesModule {}
