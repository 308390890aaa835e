/** A line of values with commas between; what has a comma, a quote or a line break in it is quoted (RFC 4180). */
export const delimitedLine = (values: readonly string[]): string =>
  values.map((value) => (/[",\r\n]/.test(value) ? `"${value.replaceAll('"', '""')}"` : value)).join(',');
