<?php

use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\TestCase;

require_once __DIR__.'/functions.php';

pest()->extend(TestCase::class)->use(RefreshDatabase::class)->in('Feature');
