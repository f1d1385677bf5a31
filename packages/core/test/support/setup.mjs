import { jest } from '@jest/globals';

// Most take milliseconds; the limit has to hold on a machine that does four times as much beside it.
jest.setTimeout(60_000);
