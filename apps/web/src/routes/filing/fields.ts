/** Where a refused or missing field is corrected, and how to come back from there. */
export function correctionPath(field: string, clientId: string, back: string): string | null {
  const there = encodeURIComponent(back);
  const client = /^client\.(\w+)$/.exec(field);
  if (client) return `/clients/${clientId}/facts?field=${client[1] ?? ''}&back=${there}`;
  const person = /^employee\.([0-9a-f-]{36})(?:\.(\w+))?$/.exec(field);
  if (person) return `/employees/${person[1] ?? ''}?field=${person[2] ?? 'lastName'}&back=${there}`;
  if (field === 'payrolls') return `/clients/${clientId}/payrolls`;
  if (field === 'totals' || field === 'line.12') return `/clients/${clientId}`;
  return null;
}
