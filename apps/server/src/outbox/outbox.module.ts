import { Module } from '@nestjs/common';
import { TypeOrmModule } from '@nestjs/typeorm';
import { Letter, Member } from '../database/entities';
import { OutboxController } from './outbox.controller';
import { OutboxService } from './outbox.service';

@Module({
  imports: [TypeOrmModule.forFeature([Letter, Member])],
  providers: [OutboxService],
  controllers: [OutboxController],
  exports: [OutboxService],
})
export class OutboxModule {}
