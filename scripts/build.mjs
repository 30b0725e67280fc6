// The application, built where something it is made of has changed.
import { build, packages } from './setup.mjs';

packages();
build();
