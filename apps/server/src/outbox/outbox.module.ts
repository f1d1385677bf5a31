import { Module } from '@nestjs/common';
import { OutboxController } from './outbox.controller';
import { OutboxService } from './outbox.service';

@Module({ providers: [OutboxService], controllers: [OutboxController], exports: [OutboxService] })
export class OutboxModule {}
