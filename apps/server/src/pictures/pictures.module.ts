import { Module } from '@nestjs/common';
import { PictureStore } from '../files/pictureStore.service';
import { SitePicturesController } from './sitePictures.controller';

@Module({
  providers: [PictureStore],
  controllers: [SitePicturesController],
  exports: [PictureStore],
})
export class PicturesModule {}
