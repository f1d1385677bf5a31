/** What is measured, in this order. */
export const BENCHES = ['canvas', 'render', 'records', 'accept', 'publish', 'opening', 'crowd'];
