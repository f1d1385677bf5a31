import { Global, Module } from '@nestjs/common';
import { Workshop } from './workshop.service';

@Global()
@Module({ providers: [Workshop], exports: [Workshop] })
export class WorkModule {}
