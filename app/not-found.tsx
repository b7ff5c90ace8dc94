import Link from "next/link";

export default function NotFound() {
  return (
    <main className="mx-auto max-w-md p-8">
      <h1 className="text-2xl">Page not found</h1>
      <p className="mt-2 text-soft">Check the address.</p>
      <Link href="/" className="mt-4 inline-block underline">
        Back to the river
      </Link>
    </main>
  );
}
