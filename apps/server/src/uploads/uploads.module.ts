import { Global, Module } from '@nestjs/common';
import { Uploads } from './uploads.service';

@Global()
@Module({ providers: [Uploads], exports: [Uploads] })
export class UploadsModule {}
