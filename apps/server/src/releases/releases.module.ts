import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { FontsModule } from '../fonts/fonts.module';
import { SitesModule } from '../sites/sites.module';
import { Release } from './entities/release.entity';
import { ReleasesController } from './releases.controller';
import { ReleasesService } from './releases.service';
import { Renderer } from './renderer.service';
import { SitesHost } from './sitesHost.service';

@Module({
  imports: [TypeOrmModule.forFeature([Release]), SitesModule, FontsModule],
  providers: [ReleasesService, Renderer, SitesHost],
  controllers: [ReleasesController],
  exports: [Renderer],
})
export class ReleasesModule {}
