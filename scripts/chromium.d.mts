export function chromiumPath(): string;
export function isChromiumThere(): boolean;
