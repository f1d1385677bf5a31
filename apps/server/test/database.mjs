export default async () => {};
