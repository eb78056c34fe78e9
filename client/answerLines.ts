// An answer that comes in lines of JSON, one after the other while the server works.

/** The lines of an answer, each as soon as it has come. */
export async function* answerLines<T>(response: Response): AsyncGenerator<T> {
  if (!response.body) return;
  const decoder = new TextDecoder();
  let rest = "";
  for await (const chunk of chunksOf(response.body.getReader())) {
    const lines = (rest + decoder.decode(chunk, { stream: true })).split("\n");
    rest = lines.pop() ?? "";
    for (const line of lines) yield JSON.parse(line);
  }
}

async function* chunksOf(reader: ReadableStreamDefaultReader<Uint8Array>): AsyncGenerator<Uint8Array> {
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    yield value;
  }
}
