export { ROLES, type Role, roleChain, roleNamed } from './roles.ts';
