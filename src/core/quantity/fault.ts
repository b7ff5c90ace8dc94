/**
 * A fault in what was handed in: what is wrong, and where. Every reader and model throws this and only this for bad
 * input.
 */
export interface Fault {
  code: string;
  message: string;
  file?: string;
  line?: number;
  path?: string;
}

export class InputError extends Error {
  readonly fault: Fault;

  constructor(code: string, message: string, where: Omit<Fault, "code" | "message"> = {}) {
    super(message);
    this.name = "InputError";
    this.fault = { code, message, ...where };
  }
}

/** The fault behind anything thrown; anything that is not an InputError is a defect of ours and is passed on. */
export function faultOf(thrown: unknown): Fault {
  if (thrown instanceof InputError) return thrown.fault;
  // Errors lose their class when they cross from a worker, but keep their name and fields.
  if (thrown && typeof thrown === "object" && "fault" in thrown) return (thrown as { fault: Fault }).fault;
  throw thrown;
}
