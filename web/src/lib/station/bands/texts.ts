/** What this part of the page says. */
export const texts = {
  // BandsPage
  region1EuropeAfricaMiddle: 'Region 1: Europe, Africa, Middle East, northern Asia',
  region2TheAmericas: 'Region 2: the Americas',
  region3SouthernAsiaOceania: 'Region 3: southern Asia, Oceania',
  bandsInUse: 'Bands in use',
  modesInUse: 'Modes in use',
  region: 'Region',
  oneALineTheFrequency: 'One a line; the frequency is the one you transmit on, in MHz',
  exampleChannels: '145.700 repeater Pico 435.100-435.200 satellite LAMP-1',
  whatThePiecesAreFor: 'What the pieces are for on',
  theyGetAButtonOn: 'They get a button on the Desk.',
  bandPlan: 'Band plan',
  whatAnOperatorsLicenceAllows:
    "What an operator's licence allows is set with the operator, under Calls and operators.",
  repeatersAndSatellites: 'Repeaters and satellites',
  aContactThereIsLogged:
    "A contact there is logged with how the signal travelled, so that no award counts a repeater as a station's own reach.",
  fromKhz: 'from kHz',
  toKhz: 'to kHz',
  byCustom: 'by custom',
};
