/** What is measured, in this order. */
export const BENCHES = ['guide', 'canvas', 'render', 'records', 'accept', 'publish', 'opening', 'crowd'];
