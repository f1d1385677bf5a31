import 'reflect-metadata';
import { readConfig } from './config/config';
import { createApp } from './createApp';
import { DemoService } from './demo/demo.service';

const config = readConfig(process.env);
const app = await createApp(config);
if (process.env.COVE_DEMO !== 'off') await app.get(DemoService).layIfMissing();
await app.listen(config.COVE_PORT, 'localhost');
process.send?.({ ready: true });
