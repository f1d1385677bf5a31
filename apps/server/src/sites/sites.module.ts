import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AcceptService } from './accept.service';
import { Member } from './entities/member.entity';
import { SiteEntity } from './entities/site.entity';
import { EventsService } from './events.service';
import { PresenceService } from './presence.service';
import { SitesController } from './sites.controller';

@Module({
  imports: [TypeOrmModule.forFeature([SiteEntity, Member])],
  providers: [AcceptService, EventsService, PresenceService],
  controllers: [SitesController],
})
export class SitesModule {}
