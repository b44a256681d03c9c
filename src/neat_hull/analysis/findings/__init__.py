"""Judgement: small rules over one evaluated setup, each finding with its numbers and a way out."""
