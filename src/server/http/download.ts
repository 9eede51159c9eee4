/** An answer that is saved as a file, and kept by no cache. */
export const download = (body: BodyInit, type: string, name: string, inline = false): Response =>
  new Response(body, {
    headers: {
      'Content-Type': type,
      'Content-Disposition': `${inline ? 'inline' : 'attachment'}; filename="${name.replace(/[^\w.-]+/g, '-')}"`,
      'Cache-Control': 'no-store',
    },
  });
