export { BottlePicture } from './BottlePicture';
export { BrewLine, mainStep } from './BrewLine';
export { KeepingBand } from './KeepingBand';
export { PotPicture } from './PotPicture';
export { WaterAccount } from './WaterAccount';
export { WindowBar } from './WindowBar';
export { Patterns } from './Patterns';
