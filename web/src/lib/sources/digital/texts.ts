/** What this part of the page says. */
export const texts = {
  // ProgramPanel
  listening: 'listening',
  transmitting: 'transmitting',
  digitalProgram: 'Digital program',
  notReported: 'not reported',
  readLately: 'Read lately',
  itsRadio: 'Its radio',
  working: 'Working',
  nobody: 'nobody',
  stopTransmitting: 'Stop transmitting',
  nothingYet: 'Nothing yet.',
  text: 'Text',
  answer: 'Answer',

  // feature
  connectADigitalProgram: 'Connect a digital program',
  ft8DecodeLinkUdpDatagram: 'ft8 decode link udp datagram set up add',
};
