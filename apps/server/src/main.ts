import 'reflect-metadata';
import { readConfig } from './config/config';
import { createApp } from './createApp';
import { DemoService } from './demo/demo.service';
import { SiteUpgrades } from './schema/siteUpgrades.service';

const config = readConfig(process.env);
const app = await createApp(config);
await app.get(SiteUpgrades).run();
const demo = app.get(DemoService);
if (config.COVE_DEMO !== 'off') await demo.createIfMissing();
if (config.COVE_DEMO === 'large') await demo.createLargeIfMissing();
// Browsers that look for localhost find it here; a name could resolve to an address nobody else expects.
await app.listen(config.COVE_PORT, '127.0.0.1');
await demo.publishLaid();
process.send?.({ ready: true });
