import { Module } from '@nestjs/common';
import { SitesModule } from '../sites/sites.module';
import { PictureStore } from './pictureStore.service';
import { SitePicturesController } from './sitePictures.controller';

@Module({
  imports: [SitesModule],
  providers: [PictureStore],
  controllers: [SitePicturesController],
  exports: [PictureStore],
})
export class PicturesModule {}
