import { configure } from "@testing-library/react";

// What is waited for may take its time on a slow machine: no test of a screen is a test of its speed.
configure({ asyncUtilTimeout: 20_000 });
