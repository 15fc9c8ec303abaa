import type { TextPart } from '../../platform/shared/text-part';

/** What this part of the page says. */
export const texts = {
  // DeviceAddress
  serialPortOrHostAnd: 'Serial port, or host and port',
  findOutWhatIsThere: 'Find out what is there',
  searchAllPorts: 'Search all ports',
  speedBaud: 'Speed, baud',
  serialPortsHere: 'Serial ports here:',

  // DeviceForm
  addAndConnect: 'Add and connect',
  save: 'Save',
  saving: 'Saving…',
  cancel: 'Cancel',
  removeThisKind: (kind: TextPart) => `Remove this ${kind}`,
};
