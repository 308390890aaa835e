/** What a field is called on screen, by its name on the wire, where its name alone would not read well. */
const LABELS: Readonly<Record<string, string>> = {
  legalName: 'The legal name',
  tradeName: 'The trade name',
  ein: 'The EIN',
  einAgain: 'The confirmed EIN',
  nameControl: 'The name control',
  zip: 'The ZIP code',
  phone: 'The telephone number',
  email: 'The e-mail address',
  contactName: 'The contact',
  signerName: 'The authorized signer',
  signerTitle: 'The signer’s title',
  key: 'The client code',
  number: 'The employee number',
  ssn: 'The social security number',
  hiredOn: 'The hire date',
  bornOn: 'The date of birth',
  kind: 'The kind',
  unemploymentRate: 'The unemployment rate',
  routing: 'The routing number',
  account: 'The account number',
  label: 'The name',
  preparerPtin: 'The PTIN',
  efin: 'The EFIN',
  efw2UserId: 'The user ID for wage files',
  checkDate: 'The check date',
  pin: 'The PIN',
};

/** `The last name` of `lastName`, `facts[0].lastName` or any other path to it. */
export function fieldLabel(path: string): string {
  const name =
    path
      .split('.')
      .at(-1)
      ?.replace(/\[\d+\]$/, '') ?? path;
  const words = name.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();
  return LABELS[name] ?? `The ${words}`;
}
