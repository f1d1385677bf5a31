import { type DynamicModule, Global, Module } from '@nestjs/common';
import { APP_FILTER, APP_GUARD, APP_INTERCEPTOR } from '@nestjs/core';
import { getDataSourceToken, TypeOrmModule } from '@nestjs/typeorm';
import { LoggerModule } from 'nestjs-pino';
import type { DataSource } from 'typeorm';
import { AccessGuard } from './accounts/access.guard';
import { AccountsModule } from './accounts/accounts.module';
import { BodyInterceptor } from './common/body.interceptor';
import { Database, ServerDatabase } from './common/database';
import { OriginGuard } from './common/origin.guard';
import { ProblemFilter } from './common/problem.filter';
import { requestId } from './common/requestGate';
import { Config } from './config/config';
import { SiteEntity } from './database/entities';
import { dataSourceOptions } from './dataSource';
import { DemoController } from './demo/demo.controller';
import { DemoService } from './demo/demo.service';
import { FontsModule } from './fonts/fonts.module';
import { GuidesModule } from './guides/guides.module';
import { HealthController } from './health/health.controller';
import { JobLanes } from './jobs/lanes';
import { NewSitesModule } from './newSites/newSites.module';
import { OutboxModule } from './outbox/outbox.module';
import { OutsideModule } from './outside/outside.module';
import { PeopleModule } from './people/people.module';
import { PicturesModule } from './pictures/pictures.module';
import { ReleasesModule } from './releases/releases.module';
import { SchemaGuard } from './schema/schema.guard';
import { SchemaModule } from './schema/schema.module';
import { SectionsModule } from './sections/sections.module';
import { SiteListModule } from './siteList/siteList.module';
import { SitesModule } from './sites/sites.module';
import { SitesHostModule } from './sitesHost/sitesHost.module';
import { SnapshotsModule } from './snapshots/snapshots.module';
import { DiskStorage } from './storage/diskStorage';
import { Storage } from './storage/storage';
import { StoredFiles } from './storage/storedFiles';
import { UploadsModule } from './uploads/uploads.module';
import { ViewsModule } from './views/views.module';
import { WatchModule } from './watch/watch.module';
import { WholeSiteModule } from './wholeSite/wholeSite.module';
import { Lanes } from './work/job';
import { WorkModule } from './work/work.module';

/** What every feature may ask for. */
@Global()
@Module({})
class FoundationModule {
  static with(config: Config): DynamicModule {
    return {
      module: FoundationModule,
      providers: [
        { provide: Config, useValue: config },
        { provide: Lanes, useClass: JobLanes },
        { provide: Storage, useFactory: () => new DiskStorage(config.COVE_DATA) },
        {
          provide: Database,
          useFactory: (source: DataSource) => new ServerDatabase(source),
          inject: [getDataSourceToken()],
        },
        {
          provide: StoredFiles,
          useFactory: (storage: Storage) => new StoredFiles(storage),
          inject: [Storage],
        },
      ],
      exports: [Config, Storage, Database, StoredFiles, Lanes],
    };
  }
}

@Module({})
export class AppModule {
  static with(config: Config): DynamicModule {
    return {
      module: AppModule,
      imports: [
        FoundationModule.with(config),
        TypeOrmModule.forFeature([SiteEntity]),
        TypeOrmModule.forRoot(dataSourceOptions(config.COVE_DATABASE_URL)),
        LoggerModule.forRoot({
          pinoHttp: {
            level: config.COVE_LOG_LEVEL,
            genReqId: requestId,
            redact: ['req.headers.cookie', 'res.headers["set-cookie"]'],
            autoLogging: { ignore: request => request.url === '/api/health' },
          },
        }),
        WorkModule,
        UploadsModule,
        WatchModule,
        AccountsModule,
        OutboxModule,
        OutsideModule,
        SchemaModule,
        SiteListModule,
        SitesModule,
        PeopleModule,
        FontsModule,
        PicturesModule,
        ReleasesModule,
        SitesHostModule,
        SnapshotsModule,
        GuidesModule,
        NewSitesModule,
        SectionsModule,
        ViewsModule,
        WholeSiteModule,
      ],
      providers: [
        DemoService,
        { provide: APP_GUARD, useClass: OriginGuard },
        { provide: APP_GUARD, useClass: AccessGuard },
        { provide: APP_GUARD, useClass: SchemaGuard },
        { provide: APP_INTERCEPTOR, useClass: BodyInterceptor },
        { provide: APP_FILTER, useClass: ProblemFilter },
      ],
      controllers: [HealthController, DemoController],
    };
  }
}
