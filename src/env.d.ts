/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    /** The place in the order of all changes that a page is drawn at; null where the store does not say. */
    drawnAt?: string | null;
  }
}
