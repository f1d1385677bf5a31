import { Module } from '@nestjs/common';
import { FontStore } from '../files/fontStore.service';
import { ShippedFontsController } from './shippedFonts.controller';
import { SiteFontsController } from './siteFonts.controller';

@Module({
  providers: [FontStore],
  controllers: [ShippedFontsController, SiteFontsController],
  exports: [FontStore],
})
export class FontsModule {}
