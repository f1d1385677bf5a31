import { jest } from '@jest/globals';
import { configure } from '@testing-library/react';

// A whole session is opened for some; the limits have to hold on a machine that does four times as much beside it.
jest.setTimeout(60_000);
configure({ asyncUtilTimeout: 20_000 });
