export * from './carry.ts';
export * from './motion.ts';
export * from './presets.ts';
export * from './promote.ts';
export * from './schemes.ts';
export * from './structure.ts';
export * from './styles.ts';
export * from './tokens.ts';
