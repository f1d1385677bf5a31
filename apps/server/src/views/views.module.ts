import { Module } from '@nestjs/common';
import { FontsModule } from '../fonts/fonts.module';
import { PicturesModule } from '../pictures/pictures.module';
import { ReleasesModule } from '../releases/releases.module';
import { SitesModule } from '../sites/sites.module';
import { ExportService } from './export.service';
import { ViewsController } from './views.controller';

@Module({
  imports: [SitesModule, ReleasesModule, FontsModule, PicturesModule],
  providers: [ExportService],
  controllers: [ViewsController],
})
export class ViewsModule {}
