import 'reflect-metadata';
import { NestFactory } from '@nestjs/core';
import { describeApi } from './api/description';
import { AppModule } from './app.module';
import { readConfig } from './config/config';

/** Prints what the server takes and answers, without a database and without starting anything. */
const app = await NestFactory.create(AppModule.with(readConfig(process.env)), {
  preview: true,
  logger: false,
});
process.stdout.write(JSON.stringify(describeApi(app)));
