import { Module } from '@nestjs/common';
import { PictureStore } from '../files/pictureStore';
import { Storage } from '../storage/storage';
import { SitePicturesController } from './sitePictures.controller';
import { SitePictures } from './sitePictures.service';

@Module({
  providers: [
    { provide: PictureStore, useFactory: (it: Storage) => new PictureStore(it), inject: [Storage] },
    SitePictures,
  ],
  controllers: [SitePicturesController],
  exports: [PictureStore],
})
export class PicturesModule {}
