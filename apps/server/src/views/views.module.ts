import { Module } from '@nestjs/common';
import { SitesModule } from '../sites/sites.module';
import { ExportService } from './export.service';
import { FontsController } from './fonts.controller';
import { ViewsController } from './views.controller';

@Module({
  imports: [SitesModule],
  providers: [ExportService],
  controllers: [ViewsController, FontsController],
})
export class ViewsModule {}
