"""Limits of food safety, each with its source."""
