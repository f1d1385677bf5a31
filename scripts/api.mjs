import { readFileSync, writeFileSync } from 'node:fs';
import { API_TYPES, makeApiTypes } from './lib/apiTypes.mjs';

/** Writes the interface’s types of what the server takes and answers anew; with --check only says whether they are those. */
const types = await makeApiTypes();
if (!process.argv.includes('--check')) writeFileSync(API_TYPES, types);
else if (readFileSync(API_TYPES, 'utf8') !== types) {
  process.stderr.write(
    'The server says other things of itself than apps/web/src/api/server.ts. Run ./cove api.\n',
  );
  process.exit(1);
}
