import { Module } from '@nestjs/common';
import { ReleasesModule } from '../releases/releases.module';
import { SitesModule } from '../sites/sites.module';
import { ExportService } from './export.service';
import { FontsController } from './fonts.controller';
import { ViewsController } from './views.controller';

@Module({
  imports: [SitesModule, ReleasesModule],
  providers: [ExportService],
  controllers: [ViewsController, FontsController],
})
export class ViewsModule {}
