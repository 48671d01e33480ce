/** Builds the thread into a folder and gives the path of its file. */
export function buildThread(folder: string): Promise<string>;
