/** Folder of the whole repository. */
export const ROOT: string;
