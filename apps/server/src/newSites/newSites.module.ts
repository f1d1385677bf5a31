import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Member, SiteEntity } from '../database/entities';
import { NewSitesController } from './newSites.controller';
import { NewSites } from './newSites.service';

@Module({
  imports: [TypeOrmModule.forFeature([Member, SiteEntity])],
  providers: [NewSites],
  controllers: [NewSitesController],
  exports: [NewSites],
})
export class NewSitesModule {}
