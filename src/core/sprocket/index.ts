/** What can be said of the drive sprocket, and the work on it. */
