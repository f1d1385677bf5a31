import { TestEnvironment } from 'jest-environment-node';

/** Lets a file of tests say what was to be seen when one of them failed, before anything else happens. */
export default class SeeingEnvironment extends TestEnvironment {
  async handleTestEvent(event) {
    if (event.name !== 'test_fn_failure' && event.name !== 'hook_failure') return;
    const names = [];
    for (let at = event.test ?? event.hook?.parent; at?.parent; at = at.parent) names.unshift(at.name);
    await this.global.coveSeeFailure?.(names.join(' ') || 'a hook');
  }
}
