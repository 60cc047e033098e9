export { AddDonorScreen as default } from '../../src/shelf/AddDonorScreen.tsx';
