import { type DynamicModule, Global, Module } from '@nestjs/common';
import { APP_FILTER, APP_GUARD } from '@nestjs/core';
import { TypeOrmModule } from '@nestjs/typeorm';
import { LoggerModule } from 'nestjs-pino';
import { AccountsModule } from './accounts/accounts.module';
import { AccessGuard } from './common/access.guard';
import { OriginGuard } from './common/origin.guard';
import { ProblemFilter } from './common/problem.filter';
import { Config } from './config/config';
import { dataSourceOptions } from './database/dataSource';
import { DemoController } from './demo/demo.controller';
import { DemoService } from './demo/demo.service';
import { GuidesModule } from './guides/guides.module';
import { HealthController } from './health/health.controller';
import { NewSitesModule } from './newSites/newSites.module';
import { OutboxModule } from './outbox/outbox.module';
import { PeopleModule } from './people/people.module';
import { PicturesModule } from './pictures/pictures.module';
import { ReleasesModule } from './releases/releases.module';
import { SectionsModule } from './sections/sections.module';
import { SitesModule } from './sites/sites.module';
import { SnapshotsModule } from './snapshots/snapshots.module';
import { DiskStorage } from './storage/diskStorage';
import { Storage } from './storage/storage';
import { ViewsModule } from './views/views.module';

/** What every feature may ask for. */
@Global()
@Module({})
class FoundationModule {
  static with(config: Config): DynamicModule {
    return {
      module: FoundationModule,
      providers: [
        { provide: Config, useValue: config },
        { provide: Storage, useClass: DiskStorage },
      ],
      exports: [Config, Storage],
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
        TypeOrmModule.forRoot(dataSourceOptions(config.COVE_DATABASE_URL)),
        LoggerModule.forRoot({
          pinoHttp: {
            level: config.COVE_LOG_LEVEL,
            redact: ['req.headers.cookie', 'res.headers["set-cookie"]'],
            autoLogging: { ignore: request => request.url === '/api/health' },
          },
        }),
        AccountsModule,
        OutboxModule,
        SitesModule,
        PeopleModule,
        PicturesModule,
        ReleasesModule,
        SnapshotsModule,
        GuidesModule,
        NewSitesModule,
        SectionsModule,
        ViewsModule,
      ],
      providers: [
        DemoService,
        { provide: APP_GUARD, useClass: OriginGuard },
        { provide: APP_GUARD, useClass: AccessGuard },
        { provide: APP_FILTER, useClass: ProblemFilter },
      ],
      controllers: [HealthController, DemoController],
    };
  }
}
