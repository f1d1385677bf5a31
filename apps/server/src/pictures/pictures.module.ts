import { Module } from '@nestjs/common';
import { PictureStore } from '../files/pictureStore.service';
import { SitePicturesController } from './sitePictures.controller';
import { SitePictures } from './sitePictures.service';

@Module({
  providers: [PictureStore, SitePictures],
  controllers: [SitePicturesController],
  exports: [PictureStore],
})
export class PicturesModule {}
