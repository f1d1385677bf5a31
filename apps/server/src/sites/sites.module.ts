import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Member } from '../accounts/entities/member.entity';
import { AcceptService } from './accept.service';
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
