import { Module } from '@nestjs/common';
import { getDataSourceToken, TypeOrmModule } from '@nestjs/typeorm';
import type { DataSource } from 'typeorm';
import { AcceptService } from './accept.service';
import { Member } from './entities/member.entity';
import { SiteEntity } from './entities/site.entity';
import { EventsService } from './events.service';
import { PresenceService } from './presence.service';
import { SiteCache } from './siteCache';
import { SitesController } from './sites.controller';

@Module({
  imports: [TypeOrmModule.forFeature([SiteEntity, Member])],
  providers: [
    {
      provide: SiteCache,
      useFactory: (database: DataSource) => new SiteCache((sql, values) => database.query(sql, [...values])),
      inject: [getDataSourceToken()],
    },
    AcceptService,
    EventsService,
    PresenceService,
  ],
  controllers: [SitesController],
  exports: [SiteCache, AcceptService],
})
export class SitesModule {}
