# frozen_string_literal: true

# How one job ended. ended: right (everything that mattered is mended and the job may close), not closed (mended, and nothing would let it
# close), parked, closed with a fault in, mended good parts, without end;
# wrong: a good part was mended and its proof said so; condemned: a good battery, starter, alternator or control unit; named: parked with the
# name of what is bad
Outcome = Struct.new(:kind, :tests, :minutes, :ended, :good_mended, :wrong, :condemned, :named, :trail, keyword_init: true)
