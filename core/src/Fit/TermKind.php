<?php

declare(strict_types=1);

namespace Gimbo\Core\Fit;

/** Where a part of a figure comes from. */
enum TermKind: string
{
    case Contents = 'contents';
    case Clearance = 'clearance';
    /** Room for the edge of something thick: the paper has to go round it. */
    case Thickness = 'thickness';
    /** The caliper of the paper it is made of. */
    case Paper = 'paper';
    /** How far the corners of the face lie inside the sheet's edge: the punch's notch or the seam chosen. */
    case Seam = 'seam';
    /** How far the sheet's corner stands off the fence so that its diagonal lies on a groove. */
    case Groove = 'groove';
    /** Half of the sheet's own diagonal, as it was cut. */
    case HalfDiagonal = 'half-diagonal';
    /** The light that stands between two faces. */
    case Light = 'light';
    /** Half of a panel, where two meet. */
    case HalfPanel = 'half-panel';
    /** The reading that sets a slanted cut on the rail. */
    case Slant = 'slant';
    /** How far down an organizer's sides fall. */
    case Slope = 'slope';
    /** A gusset as it will really be. */
    case Gusset = 'gusset';
    /** A depth that was asked for. */
    case Depth = 'depth';
    /** The tray as it will really be, from score to score. */
    case Tray = 'tray';
    /** Mats on walls that something goes over. */
    case Mats = 'mats';
    /** A wall as it will really be. */
    case Wall = 'wall';
    /** What a lid has to spare at its tightest place so that it goes on and off. */
    case Play = 'play';
    /** The sheet, from edge to edge. */
    case Sheet = 'sheet';
    /** How long a flap is made. */
    case Flap = 'flap';
    /** How far two panels lie on one another. */
    case Overlap = 'overlap';
    /** How far a flap's tip reaches from its fold. */
    case Reach = 'reach';
    /** The face a flap lies on, from fold to fold. */
    case Face = 'face';
    /** What has to stay between a flap's point and the fold it must not pass. */
    case Margin = 'margin';
    /** A panel that something is laid on. */
    case Panel = 'panel';
    /** What shows around what is laid on a panel. */
    case Border = 'border';
    /** An opening that something lies behind or around. */
    case Opening = 'opening';
    /** Once round the finished thing. */
    case Round = 'round';
    /** A size that was asked for. */
    case Asked = 'asked';
    /** What the tool's step adds or takes. */
    case Rounding = 'rounding';
}
