import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AcceptService } from './accept.service';
import { Member } from './entities/member.entity';
import { SiteEntity } from './entities/site.entity';
import { EventsService } from './events.service';
import { SiteCache } from './siteCache.service';
import { SitesController } from './sites.controller';

@Module({
  imports: [TypeOrmModule.forFeature([SiteEntity, Member])],
  providers: [SiteCache, AcceptService, EventsService],
  controllers: [SitesController],
  exports: [SiteCache, AcceptService],
})
export class SitesModule {}
