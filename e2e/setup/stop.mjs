export default async () => {
  const { scratch, second } = globalThis.coveScratch;
  await second.stop();
  await scratch.end();
};
