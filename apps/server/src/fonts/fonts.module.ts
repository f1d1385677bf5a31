import { Module } from '@nestjs/common';
import { FontStore } from '../files/fontStore';
import { Storage } from '../storage/storage';
import { ShippedFontsController } from './shippedFonts.controller';
import { SiteFontsController } from './siteFonts.controller';

@Module({
  providers: [{ provide: FontStore, useFactory: (it: Storage) => new FontStore(it), inject: [Storage] }],
  controllers: [ShippedFontsController, SiteFontsController],
  exports: [FontStore],
})
export class FontsModule {}
