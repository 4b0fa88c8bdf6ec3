<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * One line of the record of work: a step of one copy, done or taken back.
 *
 * @property string $design_id
 * @property string $step the step's id
 * @property int $copy counted from 1
 * @property int $revision the design as it was
 * @property bool $is_done
 * @property string $figures those it was done by, as they were read
 * @property string $ticked_at ISO 8601, UTC, by the clock of who ticked it
 */
final class Tick extends Model
{
    public $timestamps = false;

    public $incrementing = false;

    protected $guarded = [];

    protected $casts = ['is_done' => 'bool'];

    /** What one line of it is known by. */
    public const KEY = ['design_id', 'step', 'copy'];
}
