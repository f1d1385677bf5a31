export { type Mention, mentionsOf, referencesIn, usersOf } from './mentions.ts';
