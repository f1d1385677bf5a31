import { jest } from '@jest/globals';

// A walk takes seconds; the limit has to hold on a machine that does four times as much beside it.
jest.setTimeout(300_000);
