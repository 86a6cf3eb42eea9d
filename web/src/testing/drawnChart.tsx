/** What a chart is given, told in words: see `vitest.config.ts`. */
type Drawn = {
  data: { datasets: readonly { label: string; data: readonly unknown[] }[] };
  options: { plugins: { annotation: { annotations: Record<string, unknown> } } };
};

export function Line({ data, options }: Drawn) {
  return (
    <p data-testid="drawn">
      {data.datasets.map(({ label, data: points }) => `${label}: ${points.length}`).join('; ')} |{' '}
      {Object.keys(options.plugins.annotation.annotations).join(' ')}
    </p>
  );
}
