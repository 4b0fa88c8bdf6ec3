<?php

declare(strict_types=1);

namespace Gimbo\Core\Spec;

/** What a field of a spec is. */
enum Kind: string
{
    /** A text with a unit; see LengthParser. */
    case Length = 'length';
    /** A thickness of paper; see CaliperText. */
    case Caliper = 'caliper';
    /** What a tool can be set to: a length, or an object with one or two scales. */
    case Step = 'step';
    case Count = 'count';
    case Choice = 'choice';
    /** On one line. */
    case Name = 'name';
    case Text = 'text';
    /** `#rrggbb`. */
    case Colour = 'colour';
    /** What others of its kind are told apart by. */
    case Id = 'id';
    /** The id of a paper that the spec has. */
    case PaperId = 'paper';
    /** A panel, all of a piece, all there are, or the id of a mat that stands before it. */
    case Panel = 'panel';
    /** Ids of layers that stand before it. */
    case Ids = 'ids';
    /** One length all round, or one for each direction. */
    case Border = 'border';
    /** An opening's shape and size. */
    case Shape = 'shape';
    /** Where a middle lies, from the left and from below; else `middle`. */
    case Middle = 'middle';
    /** Of a panel: inside or outside; else the one that is seen. */
    case Side = 'side';
    /** Points of a closed line, millimetres. */
    case Ring = 'ring';
    /** A width and a height, as a list of two. */
    case Pair = 'pair';
    /** Lengths, as a list. */
    case Lengths = 'lengths';
    /** Entries of one shape, as a list. */
    case Entries = 'entries';
    /** A part of what goes with a make, that may be of a paper of its own. */
    case Part = 'part';
    /** What is said inside it: under names, or under ids of its own. */
    case Inner = 'inner';

    /** Whether its value is one length. */
    public function isLength(): bool
    {
        return in_array($this, [self::Length, self::Caliper, self::Step], true);
    }
}
