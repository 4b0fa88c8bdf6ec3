<?php

declare(strict_types=1);

namespace App\Models;

use Illuminate\Database\Eloquent\Model;

/**
 * An edit that has been done, so that the same one sent again is not.
 *
 * @property string $id
 * @property string $design_id
 */
final class AppliedEdit extends Model
{
    public const UPDATED_AT = null;

    public $incrementing = false;

    protected $keyType = 'string';

    protected $guarded = [];
}
