import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { SitesModule } from '../sites/sites.module';
import { Release } from './entities/release.entity';
import { ReleasesController } from './releases.controller';
import { ReleasesService } from './releases.service';
import { SitesHost } from './sitesHost.service';

@Module({
  imports: [TypeOrmModule.forFeature([Release]), SitesModule],
  providers: [ReleasesService, SitesHost],
  controllers: [ReleasesController],
})
export class ReleasesModule {}
