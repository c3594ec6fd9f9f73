/** What is said where work can hurt someone; label, local code and licence come first. */
export const SPRAY =
  'The label is the law; licence where required. Protective clothing, no drift, people and pets off until dry. Write the application down.'
export const SERVICES =
  'Have buried services located by the local service before tines or spade go in, several working days ahead. Hand-dig near marks.'
export const SOIL =
  'Dry sand is dusty (silica): mask, damp it down. Lift with two above 25 kg; watch steps and gates with the barrow.'
export const MOWER =
  'Boots, eyes and ears. Clear stones and people. Stop the engine and pull the plug lead before clearing the deck.'
export const GRANULES = 'Sweep granules off paving; keep away from water. Local bans by date and nutrient come first.'
