import { Client, type ClientConfig } from 'pg';

/**
 * A client whose lost connection is never an unheard event. A pool listens to its clients only while they are idle, and
 * whoever takes one listens a moment later; a database that ends in that moment would end the server with it. Nothing is
 * hidden by this: the query that runs, or the next one, fails with the reason.
 */
export class PatientClient extends Client {
  constructor(config?: string | ClientConfig) {
    super(config);
    this.on('error', () => {});
  }
}
