import { parseAndValidateFlightRouterState } from "next/dist/server/app-render/parse-and-validate-flight-router-state";
import { type NextRequest, NextResponse } from "next/server";

/** Strict content security policy with a nonce for each page: no script but our own, nothing from anywhere else. */
export function proxy(request: NextRequest): NextResponse {
  if (!soundRouterState(request.headers.get("next-router-state-tree")))
    return NextResponse.json(
      { error: { code: "bad-router-state", message: "The router's state is malformed." } },
      { status: 400 },
    );
  const nonce = btoa(crypto.randomUUID());
  const development = process.env.NODE_ENV === "development";
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${development ? " 'unsafe-eval'" : ""}`,
    // Radix and Chart.js set style attributes; no style can load anything, since images and fonts are held to 'self'.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' blob: data:",
    // A film that is opened from a file.
    "media-src 'self' blob:",
    "font-src 'self'",
    `connect-src 'self'${development ? " ws:" : ""}`,
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join("; ");
  const headers = new Headers(request.headers);
  headers.set("x-nonce", nonce);
  headers.set("content-security-policy", policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set("content-security-policy", policy);
  // Served over https, as behind a proxy that says so, it is never asked for without again.
  const forwarded = request.headers.get("x-forwarded-proto")?.split(",")[0]?.trim();
  if ((forwarded ?? request.nextUrl.protocol.replace(":", "")) === "https")
    response.headers.set("strict-transport-security", "max-age=31536000");
  response.headers.set("referrer-policy", "no-referrer");
  response.headers.set("permissions-policy", "camera=(), microphone=(), geolocation=(self)");
  return response;
}

/** Is the state that the router in the page sends one that the server can read? By the server's own reader. */
function soundRouterState(state: string | null): boolean {
  try {
    parseAndValidateFlightRouterState(state ?? undefined);
    return true;
  } catch {
    return false;
  }
}

export const config = { matcher: [{ source: "/((?!_next/static|_next/image|favicon.svg|manifest.webmanifest).*)" }] };
