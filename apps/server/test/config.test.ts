import { describe, expect, it } from '@jest/globals';
import 'reflect-metadata';
import { readConfig } from '../src/config/config';

const needed = { COVE_DATA: '/tmp/x', COVE_DATABASE_URL: 'postgres://u:p@127.0.0.1:5000/cove' };

describe('configuration', () => {
  it('has defaults that work, origins following the ports', () => {
    expect(readConfig(needed)).toMatchObject({
      COVE_PORT: 4310,
      COVE_SITES_PORT: 4311,
      COVE_ORIGIN: 'http://localhost:4310',
      COVE_SITES_ORIGIN: 'http://127.0.0.1:4311',
    });
    expect(readConfig({ ...needed, COVE_PORT: '5000' })).toMatchObject({
      COVE_PORT: 5000,
      COVE_ORIGIN: 'http://localhost:5000',
    });
  });
  it('names every fault', () => {
    expect(() => readConfig({ COVE_PORT: 'many' })).toThrow(
      /COVE_PORT[\s\S]*COVE_DATA[\s\S]*COVE_DATABASE_URL/,
    );
  });
});
