import { Module } from '@nestjs/common';
import { FontsModule } from '../fonts/fonts.module';
import { ReleasesModule } from '../releases/releases.module';
import { SitesModule } from '../sites/sites.module';
import { ExportService } from './export.service';
import { ViewsController } from './views.controller';

@Module({
  imports: [SitesModule, ReleasesModule, FontsModule],
  providers: [ExportService],
  controllers: [ViewsController],
})
export class ViewsModule {}
