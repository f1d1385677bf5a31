import { Module } from '@nestjs/common';
import { APP_INTERCEPTOR } from '@nestjs/core';
import { LoopWatch } from './loopWatch.service';
import { SlowRequests } from './slowRequests.interceptor';

/** Says in the log what holds the server up while it happens. */
@Module({ providers: [LoopWatch, { provide: APP_INTERCEPTOR, useClass: SlowRequests }] })
export class WatchModule {}
