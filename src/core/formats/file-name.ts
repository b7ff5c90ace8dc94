/** A file's name without its ending: what is read of it is called so until it is given another name. */
export const nameOfFile = (name: string): string => name.replace(/\.[^.]+$/, "");
