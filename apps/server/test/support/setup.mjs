import { jest } from '@jest/globals';

// A whole server is started for most files; the limit has to hold on a machine that does four times as much beside it.
jest.setTimeout(90_000);
